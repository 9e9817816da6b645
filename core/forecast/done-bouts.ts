import type { Plan } from '../plan/plan';
import type { Timeline } from '../plan/timeline';
import type { Library } from '../protocol/exercises';
import { liveTimeline } from '../session/live-timeline';
import { correctedReps, findSet, type SessionState } from '../session/state';
import { type Bout, boutsOf } from './bouts';

/** A session as far as it has come. */
export type SessionSoFar = { plan: Plan; state: SessionState };

/**
 * What a session showed that the model can learn from: its sets as they were really done. A set that a person stopped
 * says only that the muscle was good for as many.
 */
export function doneBouts({ plan, state }: SessionSoFar, library: Library): Bout[] {
  const timeline = doneTimeline({ plan, state }, state.sets.at(-1)?.endedAtMs ?? 0);
  return boutsOf(plan, timeline, library, (place) => outcomeOf(state, place));
}

/** What was done up to `nowMs` (wall clock), without a set that is still under way. */
export function doneTimeline({ plan, state }: SessionSoFar, nowMs: number): Timeline {
  const timeline = liveTimeline(plan, state, nowMs);
  return { ...timeline, sets: timeline.sets.filter((set) => findSet(state, set)?.endedAtMs) };
}

/** What came of a set; null for one that has not ended. */
export function outcomeOf(
  state: SessionState,
  place: { exerciseIndex: number; setIndex: number },
): Bout['done'] {
  const set = findSet(state, place);
  if (!set?.endedAtMs) return null;
  const reps = correctedReps(set);
  const short = set.reason === 'done' && reps < (set.plannedReps ?? 0);
  return { reps, failed: set.reason === 'failure' || short };
}
