import { type Message, msg } from '../message/message';
import type { Plan } from '../plan/plan';
import { RULES } from '../rules/catalogue';
import { type BloodPressure, bloodPressureWords } from '../screening/blood-pressure';
import { isBackTo } from '../screening/pressure-in-work';
import type { BloodPressureMoment } from './events';
import { isLastSet, nextPlace } from './places';
import { inflatedLimbs, type SessionState } from './state';

const { backWithinMmHg, afterMs } = RULES['RUN-8'].figures;

/** What each moment is called, in the order they come. */
export const BLOOD_PRESSURE_MOMENTS: Record<BloodPressureMoment, Message> = {
  before: msg('Before'),
  'last-rest': msg('In the last rest'),
  'minute-1': msg('1 min after'),
  'minute-5': msg('5 min after'),
};

/** The newest reading of a moment. */
const readingAt = (state: SessionState, moment: BloodPressureMoment): BloodPressure | undefined =>
  state.bloodPressures.findLast((taken) => taken.moment === moment)?.reading;

/**
 * At which moment a blood pressure would be taken now, as long as it was not (rule RUN-8): before the first inflation, in the rest
 * before the last set, a minute and five after the last cuff came down; null in between.
 */
export function bloodPressureDue(plan: Plan, state: SessionState, nowMs: number): BloodPressureMoment | null {
  const moment = momentNow(plan, state, nowMs);
  return moment && !readingAt(state, moment) ? moment : null;
}

function momentNow(plan: Plan, state: SessionState, nowMs: number): BloodPressureMoment | null {
  if (state.limbs.length === 0) return 'before';
  const next = nextPlace(plan, state);
  if (next && !state.stopped) return state.rest && isLastSet(plan, next) ? 'last-rest' : null;
  if (inflatedLimbs(state).length > 0) return null;
  const downMs = Math.max(...state.limbs.map(({ inflations }) => inflations.at(-1)?.toMs ?? 0));
  const sinceMs = nowMs - downMs;
  if (sinceMs < afterMs.first || sinceMs > afterMs.until) return null;
  return sinceMs < afterMs.second ? 'minute-1' : 'minute-5';
}

/** Why a blood pressure counts as not back at five minutes, in words; null where it is back, or both were not taken (rule RUN-8). */
export function whyNotBack(state: SessionState): Message | null {
  const [before, after] = [readingAt(state, 'before'), readingAt(state, 'minute-5')];
  if (!before || !after) return null;
  return isBackTo(before, after)
    ? null
    : msg('Blood pressure {after} five minutes after, {before} before: not back within {backWithinMmHg}.', {
        after: bloodPressureWords(after),
        before: bloodPressureWords(before),
        backWithinMmHg,
      });
}
