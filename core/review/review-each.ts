import { movementOf } from '../plan/movement';
import type { PlannedExercise } from '../plan/plan';
import { type RampSession, rampLevel } from '../pressure/ramp';
import type { Day } from '../quantity/days';
import { limbKind } from '../quantity/limb';
import { capOn, type Limits } from '../screening/clearance';
import type { Bounds } from './done';
import { type Recommendation, recommend } from './review';
import type { Reviewed } from './reviewed';

/** A session of a person, with pain before it, of 10, where it was said, and the session before where there is one. */
export type SessionToReview = Reviewed & { painBefore: number | null; before: Reviewed | null };

/**
 * What a session suggests for the next one, exercise by exercise (rule REV-10), bounded by the caps on its limbs, and by the ramp
 * as it is.
 * @param done sessions really done, which the ramp counts
 * @returns by the place of the exercise in the plan; undefined where no set of it was begun
 */
export const reviewEach = (
  { plan, state, painBefore, before }: SessionToReview,
  {
    done,
    limits,
    ...bounds
  }: Omit<Bounds, 'rampPercentLop' | 'capPercentLop'> & {
    done: readonly RampSession[];
    limits: Limits;
  },
  today: Day,
): (Recommendation | undefined)[] =>
  plan.exercises.map((exercise, place) => {
    const [target] = exercise.limbs;
    const ramp = target && rampLevel(done, limbKind(target.limb), plan.schoolId, today);
    const rampPercentLop = ramp?.running ? ramp.percentLop : null;
    const capPercentLop = leastOf(
      capOn(
        limits,
        exercise.limbs.map(({ limb }) => limb),
      ),
      boundOfShare(exercise),
    );
    const context = { painBefore, before, rampPercentLop, capPercentLop, ...bounds };
    return recommend({ plan, state }, place, context) ?? undefined;
  });

/** Up to where the pressure of an exercise was signed to move, in %LOP; null where it was signed as steady, or in another unit. */
export function boundOfShare(exercise: Pick<PlannedExercise, 'movements'>): number | null {
  const movement = movementOf(exercise, 'pressure');
  return movement?.figure === 'percent-lop' ? movement.to : null;
}

/** The least of those that are known. */
export const leastOf = (...bounds: readonly (number | null)[]): number | null => {
  const known = bounds.filter((bound) => bound !== null);
  return known.length === 0 ? null : Math.min(...known);
};
