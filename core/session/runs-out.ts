import type { Plan } from '../plan/plan';
import type { Limb } from '../quantity/limb';
import { limbClocks, restLeftMs } from './clocks';
import { nextStep } from './next-step';
import { openSet, type SessionState } from './state';

/** What ends next by the clock, and how long is left, in ms; a limit that is passed is below zero. */
export type RunsOut =
  | { what: 'set' | 'rest'; leftMs: number }
  | { what: 'wait'; leftMs: number; why: Extract<ReturnType<typeof nextStep>, { do: 'wait' }>['why'] }
  | { what: 'limit'; leftMs: number; limb: Limb };

/**
 * The one figure that counts down (rules RUN-1, RUN-2): a limit that is passed, the set or cycle under way, a rest, a wait, else what is
 * left of the limit of a cuff that is up. Nothing counts up.
 * @returns null where no cuff is up and nothing is waited for
 * @example 12 s into a set of 60 s //=> { what: 'set', leftMs: 48_000 }
 */
export function runsOut(plan: Plan, state: SessionState, nowMs: number): RunsOut | null {
  const soonest = limbClocks(plan, state, nowMs)
    .filter(({ inflated }) => inflated)
    .sort((a, b) => a.leftMs - b.leftMs)[0];
  const limit: RunsOut | null = soonest
    ? { what: 'limit', leftMs: soonest.leftMs, limb: soonest.limb }
    : null;
  if (limit && (limit.leftMs <= 0 || state.stopped)) return limit;
  const set = openSet(state);
  const planned = set && plan.exercises[set.exerciseIndex]?.sets[set.setIndex];
  if (set && planned) return { what: 'set', leftMs: Math.max(0, set.startedAtMs + planned.lastsMs - nowMs) };
  const restMs = restLeftMs(state, nowMs);
  if (restMs !== null && restMs > 0) return { what: 'rest', leftMs: restMs };
  const step = nextStep(plan, state, nowMs);
  if (step.do === 'wait') return { what: 'wait', leftMs: Math.max(0, step.untilMs - nowMs), why: step.why };
  return limit;
}
