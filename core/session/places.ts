import type { Plan } from '../plan/plan';
import { type SetPlace, setOrder } from '../plan/set-order';
import { findSet, type SessionState, type SetRecord } from './state';

export type { SetPlace };

/** The first set, in the order of the plan, that has not been started, or `null` when all have. */
export const nextPlace = (plan: Plan, state: SessionState): SetPlace | null =>
  setOrder(plan).find((place) => !findSet(state, place)) ?? null;

/** Whether no set of the plan comes after this one. */
export function isLastSet(plan: Plan, { exerciseIndex, setIndex }: SetPlace): boolean {
  const last = setOrder(plan).at(-1);
  return last?.exerciseIndex === exerciseIndex && last.setIndex === setIndex;
}

/** The set that was started last. */
export const lastSet = (state: SessionState): SetRecord | undefined => state.sets.at(-1);

/** Whether the cuff comes down after a set of the plan. */
export const releasesAfter = (plan: Plan, { exerciseIndex, setIndex }: SetPlace): boolean =>
  plan.exercises[exerciseIndex]?.sets[setIndex]?.release ?? false;
