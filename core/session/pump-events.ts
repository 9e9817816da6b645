import { CUFF_DOWN_MMHG } from '../kit/pump';
import type { Plan } from '../plan/plan';
import type { Limb } from '../quantity/limb';
import type { EventBody } from './events';
import { signedInHand } from './in-hand';
import { openInflation, type SessionState } from './state';

/** From this pressure on a cuff counts as up: the clock begins early rather than late. */
const UP_MMHG = 20;
/** A drift is written down at most this often. */
const READ_EVERY_MS = 3_000;

/**
 * What a pump's reading tells the log: the cuff went up, came down, or its pressure changed by a division of the gauge
 * (rules RUN-1, PRS-5). Nothing when it says what is known.
 * @param pressureMmHg as the pump reports it at `nowMs`
 */
export function pumpEvents(
  plan: Plan,
  state: SessionState,
  limb: Limb,
  pressureMmHg: number,
  nowMs: number,
): EventBody[] {
  if (state.startedAtMs === null || (state.finishedAtMs !== null && pressureMmHg < UP_MMHG)) return [];
  const open = openInflation(state.limbs.find((candidate) => candidate.limb === limb));
  const read = Math.round(pressureMmHg);
  if (!open) return pressureMmHg >= UP_MMHG ? [{ type: 'cuff-inflated', limb, pressureMmHg: read }] : [];
  if (pressureMmHg < CUFF_DOWN_MMHG) return [{ type: 'cuff-released', limb }];
  const last = open.steps.at(-1);
  if (last?.pressureMmHg == null || nowMs - last.atMs < READ_EVERY_MS) return [];
  if (Math.abs(read - last.pressureMmHg) < divisionOf(plan, state, limb)) return [];
  return [{ type: 'pressure-read', limb, pressureMmHg: read, cause: 'read' }];
}

function divisionOf(plan: Plan, state: SessionState, limb: Limb): number {
  const signed = signedInHand(plan, state, limb);
  return signed?.kind === 'measured' ? signed.divisionMmHg : 1;
}
