import { CUFF_DOWN_MMHG } from '../../kit/pump';
import type { Plan } from '../../plan/plan';
import { isCuffed } from '../../plan/target';
import type { Limb } from '../../quantity/limb';
import { signedInHand } from '../in-hand';
import { openInflation, type SessionState } from '../state';
import { type Decision, decided, type Intent, type Situation } from './intent';

/** From this pressure on a cuff counts as up: the clock begins early rather than late. */
const UP_MMHG = 20;
/** A drift is written down at most this often. */
const READ_EVERY_MS = 3_000;

/**
 * What a pump's reading adds to the log: the cuff went up, came down, or its pressure changed by a division of the gauge
 * (rules RUN-1, PRS-5). Nothing when it says what is known.
 */
export function pumpReports(
  { plan, state, nowMs }: Situation,
  { limb, pressureMmHg }: Extract<Intent, { do: 'pump-reports' }>,
): Decision {
  const open = openInflation(state.limbs.find((candidate) => candidate.limb === limb));
  const read = Math.round(pressureMmHg);
  if (!open) {
    const up = pressureMmHg >= UP_MMHG && state.finishedAtMs === null;
    return decided(up ? [{ type: 'cuff-inflated', limb, pressureMmHg: read }] : []);
  }
  if (pressureMmHg < CUFF_DOWN_MMHG) return decided([{ type: 'cuff-released', limb }]);
  const last = open.steps.at(-1);
  if (last?.pressureMmHg == null || nowMs - last.atMs < READ_EVERY_MS) return decided([]);
  if (Math.abs(read - last.pressureMmHg) < divisionOf(plan, state, limb)) return decided([]);
  return decided([{ type: 'pressure-read', limb, pressureMmHg: read, cause: 'read' }]);
}

function divisionOf(plan: Plan, state: SessionState, limb: Limb): number {
  const signed = signedInHand(plan, state, limb);
  return signed && isCuffed(signed) ? signed.divisionMmHg : 1;
}
