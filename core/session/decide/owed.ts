import type { Plan } from '../../plan/plan';
import { RULES } from '../../rules/catalogue';
import { limbClocks } from '../clocks';
import type { EventBody } from '../events';
import { restInHand } from '../in-hand';
import { nextStep } from '../next-step';
import { isLastSet, lastSet, releasesAfter, type SetPlace } from '../places';
import { inflatedLimbs, openInflation, openSet, type SessionState } from '../state';

/** Something the clock makes happen by itself. `key` is the same on every device, so it is recorded once. */
export type DueEvent = { key: string; atMs: number; body: EventBody };

// A rest that ran out unattended is not followed by a set by itself: the operator starts it.
const WATCHED_MS = 5_000;

/**
 * Events the clock owes at `nowMs` wall clock, so that the session runs hands-free (rule RUN-2):
 * a set ends with the last paced repetition and its rest begins; the next set begins when the rest is over
 * and the cuff is up. Times are those of the pace, not of the moment of looking.
 */
export function dueEvents(plan: Plan, state: SessionState, nowMs: number): DueEvent[] {
  const ignored = ignoredAlarms(plan, state, nowMs);
  if (ignored.length > 0) return ignored;
  if (state.stopped || state.finishedAtMs !== null) return [];
  const set = openSet(state);
  const planned = set && plan.exercises[set.exerciseIndex]?.sets[set.setIndex];
  if (set && planned) {
    const endMs = set.startedAtMs + planned.lastsMs;
    if (nowMs < endMs) return [];
    const place = { exerciseIndex: set.exerciseIndex, setIndex: set.setIndex };
    // After an end that was taken back, the clock owes another one.
    const again = set.endsTakenBack > 0 ? ` ${set.endsTakenBack}` : '';
    const key = `${place.exerciseIndex}.${place.setIndex}${refitsOf(state, place)}${again}`;
    const ended: DueEvent = {
      key: `set-ended ${key}`,
      atMs: endMs,
      body: { type: 'set-ended', ...place, reps: set.plannedReps ?? 0, reason: 'done' },
    };
    if (isLastSet(plan, place)) return [ended];
    return [
      ended,
      {
        key: `rest-started ${key}`,
        atMs: endMs,
        body: {
          type: 'rest-started',
          ...place,
          restMs: restInHand(plan, state, place.exerciseIndex, planned.restMs),
        },
      },
    ];
  }
  const cycles = plan.exercises.some(({ mode }) => mode === 'preparation');
  if (!state.rest && !cycles) return [];
  const next = nextStep(plan, state, nowMs);
  if (next.do === 'start-set' && plan.exercises[next.place.exerciseIndex]?.mode === 'preparation') {
    return cycleBegins(next.place, state, nowMs);
  }
  if (!state.rest) return [];
  const restEndMs = state.rest.startedAtMs + state.rest.restMs;
  if (next.do !== 'start-set' || nowMs < restEndMs || nowMs - restEndMs > WATCHED_MS) return [];
  // After a new inflation the pressure is settled first: the first set of an exercise is then started by hand (PRS-5).
  const before = lastSet(state);
  if (next.place.setIndex === 0 && before && releasesAfter(plan, before)) return [];
  return [
    {
      key: `set-started ${next.place.exerciseIndex}.${next.place.setIndex} ${restEndMs}`,
      atMs: Math.max(restEndMs, ...inflatedLimbs(state).map((limb) => openInflation(limb)?.fromMs ?? 0)),
      body: { type: 'set-started', ...next.place },
    },
  ];
}

/** A cycle of the cuff begins as soon as the last cuff of it is up: there is nothing to get ready for (rule PRS-9). */
function cycleBegins(place: SetPlace, state: SessionState, nowMs: number): DueEvent[] {
  const atMs = Math.max(...inflatedLimbs(state).map((limb) => openInflation(limb)?.fromMs ?? 0));
  if (nowMs - atMs > WATCHED_MS) return [];
  const key = `set-started ${place.exerciseIndex}.${place.setIndex} ${atMs}`;
  return [{ key, atMs, body: { type: 'set-started', ...place } }];
}

/** A set that is done again after a re-fit is another one for the clock. */
function refitsOf({ refits }: SessionState, { exerciseIndex, setIndex }: SetPlace): string {
  const count = refits.filter(
    (one) => one.exerciseIndex === exerciseIndex && one.setIndex === setIndex,
  ).length;
  return count > 0 ? ` re-fit ${count}` : '';
}

/** How long the limit may be passed before it is recorded that the alarm was ignored. */
const IGNORED_AFTER_MS = RULES['RUN-1'].figures.ignoredAfterMs;

/** Once an inflation: the limit was passed a while ago and the cuff is still up (rule RUN-1). */
function ignoredAlarms(plan: Plan, state: SessionState, nowMs: number): DueEvent[] {
  return limbClocks(plan, state, nowMs).flatMap(({ limb, alarm, leftMs }) => {
    const open = openInflation(state.limbs.find((candidate) => candidate.limb === limb));
    if (alarm !== 'now' || !open) return [];
    // Inflated again while the clock was past its limit: this inflation's own time to be noticed runs from its start.
    const atMs = Math.max(nowMs + leftMs, open.fromMs) + IGNORED_AFTER_MS;
    if (nowMs < atMs) return [];
    if (state.ignoredAlarms.some((ignored) => ignored.limb === limb && ignored.atMs >= open.fromMs))
      return [];
    return [
      { key: `alarm-ignored ${limb} ${open.fromMs}`, atMs, body: { type: 'alarm-ignored', limb } as const },
    ];
  });
}
