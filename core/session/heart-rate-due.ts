import type { Plan } from '../plan/plan';
import { MS_PER_MINUTE } from '../quantity/units';
import type { SessionState } from './state';

/** How long after a moment it is still that moment's heart rate. */
const FRESH_MS = 20_000;

/**
 * The moment of aerobic work whose heart rate is to be noted now: minute 5 of a spell, and its end (chapter 6). A strap
 * that is worn notes it by itself; a moment that passed by is left to whoever counted.
 */
export function heartRateDue(plan: Plan, state: SessionState, nowMs: number): 'minute-5' | 'end' | null {
  const set = state.sets.at(-1);
  if (!set || plan.exercises[set.exerciseIndex]?.mode !== 'aerobic') return null;
  const isNoted = (moment: 'minute-5' | 'end') => set.heartRates.some((one) => one.moment === moment);
  const isNow = (atMs: number) => nowMs >= atMs && nowMs - atMs < FRESH_MS;
  if (set.endedAtMs !== null) return isNow(set.endedAtMs) && !isNoted('end') ? 'end' : null;
  return isNow(set.startedAtMs + 5 * MS_PER_MINUTE) && !isNoted('minute-5') ? 'minute-5' : null;
}
