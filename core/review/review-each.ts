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
    const capPercentLop = capOn(
      limits,
      exercise.limbs.map(({ limb }) => limb),
    );
    const context = { painBefore, before, rampPercentLop, capPercentLop, ...bounds };
    return recommend({ plan, state }, place, context) ?? undefined;
  });
