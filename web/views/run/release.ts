import type { Plan } from '#core/plan/plan';
import { repsByPace } from '#core/protocol/pace';
import type { Limb } from '#core/quantity/limb';
import type { EventBody, StopReason } from '#core/session/events';
import { openSet, type SessionState } from '#core/session/state';

/** Ends the set under way, if there is one, with the repetitions the pace has counted. */
export function endSetEvents(
  plan: Plan,
  state: SessionState,
  nowMs: number,
  reason: StopReason,
): EventBody[] {
  const set = openSet(state);
  const exercise = set && plan.exercises[set.exerciseIndex];
  if (!set || !exercise) return [];
  const place = { exerciseIndex: set.exerciseIndex, setIndex: set.setIndex };
  const reps = repsByPace(nowMs - set.startedAtMs, exercise.tempo, set.plannedReps ?? 0);
  return [{ type: 'set-ended', ...place, reps, reason }];
}

/** Lets cuffs down. A set does not go on without its cuff, so it ends with them. */
export function releaseEvents(
  plan: Plan,
  state: SessionState,
  limbs: readonly Limb[],
  nowMs: number,
): EventBody[] {
  return [
    ...endSetEvents(plan, state, nowMs, 'operator'),
    ...limbs.map((limb) => ({ type: 'cuff-released', limb }) as const),
  ];
}
