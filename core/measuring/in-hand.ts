import type { PulseMethod } from '../occlusion-pressure/methods';
import type { Trial } from '../occlusion-pressure/trial';
import { type Measuring, recoveryLeftMs, trialsKey } from './measuring';
import { emptyRow, type ReadRow, readRow, type Steps, type TrialRow, withRoom } from './trial-rows';

/** What the next trial is taken with. */
export type Kit = {
  cuffId: string;
  method: PulseMethod;
  steps: Steps;
  /** Whether the app reads and deflates the cuff itself, or a person with a gauge does. */
  reads: 'app' | 'person';
};

/** What is known of the cuff now; `measuring` while an automatic pump finds the pressure by itself. */
export type Reading = { pressureMmHg: number; measuring: boolean };

/** What the next press will do. */
export type Phase = 'rising' | 'falling' | 'deflate' | 'recovering' | 'full' | 'automatic' | 'measuring';

/** What is in hand while measuring: everything shown and pressed reads it. */
export type MeasuringInHand = {
  rows: TrialRow[];
  read: ReadRow[];
  /** The row being filled; null when all are whole. */
  current: number | null;
  trials: Trial[];
  /** Whether something typed cannot be right. */
  wrong: boolean;
  phase: Phase;
  recoveryLeftMs: number;
  /** The step of the row being filled, in the direction of the phase, in mmHg. */
  stepMmHg: number;
};

/** The trials, the phase and the recovery of now (rules LOP-2, LOP-3). */
export function measuringInHand(
  state: Measuring,
  kit: Kit,
  reading: Reading,
  nowMs: number,
): MeasuringInHand {
  const rows = rowsOf(state, kit);
  const read = rows.map(readRow);
  const unfinished = read.findIndex(({ state: of }) => of !== 'whole');
  const current = unfinished < 0 ? null : unfinished;
  const downAtMs = state.downAtMs[state.at.limb];
  const leftMs = downAtMs === undefined ? 0 : recoveryLeftMs(downAtMs, nowMs);
  const row = current === null ? undefined : rows[current];
  const phase = phaseOf();
  const steps = row ?? kit.steps;
  return {
    rows,
    read,
    current,
    trials: read.flatMap((one) => (one.state === 'whole' ? [one.trial] : [])),
    wrong: read.some(({ state: of }) => of === 'wrong'),
    phase,
    recoveryLeftMs: leftMs,
    stepMmHg: phase === 'falling' ? steps.downMmHg : kit.steps.upMmHg,
  };

  function phaseOf(): Phase {
    if (reading.measuring) return 'measuring';
    if (state.toDeflate === state.at.limb) return 'deflate';
    if (!row) return 'full';
    if (row.gone) return 'falling';
    if (leftMs > 0) return 'recovering';
    return kit.method === 'automatic-pump' ? 'automatic' : 'rising';
  }
}

/** Trials of the place in hand, with an empty one to fill while another is allowed. */
export const rowsOf = ({ at, trials }: Measuring, { cuffId, steps }: Pick<Kit, 'cuffId' | 'steps'>) =>
  withRoom(trials[trialsKey(at, cuffId)] ?? [emptyRow(steps)], steps);
