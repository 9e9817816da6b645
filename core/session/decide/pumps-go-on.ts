import type { Plan } from '../../plan/plan';
import type { Limb } from '../../quantity/limb';
import { nextStep } from '../next-step';
import { lastSet } from '../places';
import type { SessionState } from '../state';

/**
 * The step that regulated pumps take by themselves: the way down and up again between cycles of priming, or of a plan of
 * cycles (rules PRS-6, PRS-9). The first time a cuff goes up is the operator's, and so is what comes after the last cycle.
 * @param pumped limbs whose pump answers
 * @returns an id of this step, so that a pump is commanded once; null where a hand is expected
 */
export function pumpsGoOn(
  plan: Plan,
  state: SessionState,
  nowMs: number,
  pumped: readonly Limb[],
): string | null {
  if (state.stopped) return null;
  const step = nextStep(plan, state, nowMs);
  const last = lastSet(state);
  const cycled = last !== undefined && plan.exercises[last.exerciseIndex]?.mode === 'preparation';
  const count = state.limbs.reduce((sum, { inflations }) => sum + inflations.length, 0);
  const key = `${step.do} ${count}`;
  switch (step.do) {
    case 'release': {
      const ofCycle = step.why === 'priming' || (cycled && step.why !== 'limit');
      return ofCycle && step.limbs.every((limb) => pumped.includes(limb)) ? key : null;
    }
    case 'inflate': {
      const { exerciseIndex, setIndex } = step.place;
      const again =
        (step.why === 'priming' &&
          state.limbs.some(({ inflations }) => isSince(inflations, last?.endedAtMs))) ||
        (plan.exercises[exerciseIndex]?.mode === 'preparation' && setIndex > 0);
      return again && step.cuffs.every(({ limb }) => pumped.includes(limb)) ? key : null;
    }
    default:
      return null;
  }
}

const isSince = (inflations: readonly { fromMs: number }[], sinceMs: number | null | undefined): boolean =>
  inflations.some(({ fromMs }) => fromMs >= (sinceMs ?? 0));
