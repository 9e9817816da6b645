import type { Plan } from '../plan/plan';
import type { SessionState, SetRecord } from '../session/state';

/** A session as the review looks at it. */
export type Reviewed = { plan: Plan; state: SessionState };

/** Sets of an exercise that were begun. */
export const setsOf = ({ state }: Reviewed, exerciseIndex: number): SetRecord[] =>
  state.sets.filter((set) => set.exerciseIndex === exerciseIndex);
