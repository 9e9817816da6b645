import type { Plan } from '../plan/plan';
import { findSet, type SessionState, type SetRecord } from './state';

/** A set of a plan, by its exercise and its place in it. */
export type SetPlace = { exerciseIndex: number; setIndex: number };

/** The first set of the plan that has not been started, or `null` when all have. */
export function nextPlace(plan: Plan, state: SessionState): SetPlace | null {
  for (const [exerciseIndex, exercise] of plan.exercises.entries()) {
    for (const setIndex of exercise.sets.keys()) {
      if (!findSet(state, { exerciseIndex, setIndex })) return { exerciseIndex, setIndex };
    }
  }
  return null;
}

/** Whether no set of the plan comes after this one. */
export const isLastSet = (plan: Plan, { exerciseIndex, setIndex }: SetPlace): boolean =>
  exerciseIndex === plan.exercises.length - 1 &&
  setIndex === (plan.exercises[exerciseIndex]?.sets.length ?? 0) - 1;

/** The set that was started last. */
export const lastSet = (state: SessionState): SetRecord | undefined => state.sets.at(-1);

/** Whether the cuff comes down after a set of the plan. */
export const releasesAfter = (plan: Plan, { exerciseIndex, setIndex }: SetPlace): boolean =>
  plan.exercises[exerciseIndex]?.sets[setIndex]?.release ?? false;
