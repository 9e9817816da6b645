import type { Plan } from '../plan/plan';
import { MS_PER_MINUTE } from '../quantity/units';
import { ASKED_MINUTES, atMinute, type HeartRateMoment } from './heart-rate-moment';
import type { SessionState } from './state';

/** How long after a moment it is still that moment's heart rate. */
const FRESH_MS = 20_000;

/**
 * The moment of aerobic work whose heart rate is to be noted now: minutes 5 and 15 of a spell, and its end (chapter 6). A strap
 * that is worn notes it by itself; a moment that passed by is left to the person who counted.
 */
export function heartRateDue(plan: Plan, state: SessionState, nowMs: number): HeartRateMoment | null {
  const set = state.sets.at(-1);
  if (!set || plan.exercises[set.exerciseIndex]?.mode !== 'aerobic') return null;
  const isNoted = (moment: HeartRateMoment) => set.heartRates.some((one) => one.moment === moment);
  const isNow = (atMs: number) => nowMs >= atMs && nowMs - atMs < FRESH_MS;
  if (set.endedAtMs !== null) return isNow(set.endedAtMs) && !isNoted('end') ? 'end' : null;
  const due = ASKED_MINUTES.find(
    (minute) => isNow(set.startedAtMs + minute * MS_PER_MINUTE) && !isNoted(atMinute(minute)),
  );
  return due === undefined ? null : atMinute(due);
}
