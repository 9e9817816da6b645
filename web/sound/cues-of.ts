import type { Plan } from '#core/plan';
import { type Cue, paceCues, restCues } from '#core/protocol';
import { openSet, type SessionState } from '#core/session';

/** What is to be heard of a session in a stretch of time: the pace of a set, or the ticks before one. */
export function cuesOf(plan: Plan, state: SessionState, fromMs: number, toMs: number): Cue[] {
  if (state.stopped) return [];
  const set = openSet(state);
  const exercise = set && plan.exercises[set.exerciseIndex];
  if (set && exercise) return paceCues(set.startedAtMs, exercise.tempo, set.plannedReps ?? 0, fromMs, toMs);
  return state.rest ? restCues(state.rest.startedAtMs + state.rest.restMs, fromMs, toMs) : [];
}
