import type { WeightKit } from '../load/weight-kit';
import { rampLevel } from '../pressure/ramp';
import { limbKind } from '../quantity/limb';
import type { Reviewed } from '../review/done';
import { type Recommendation, recommend } from '../review/review';
import { sessionsDone } from './basis';
import type { ClientFacts } from './facts';
import { limitsInForce } from './in-force';

/** A session of a person, with pain before it, of 10, where anybody said, and the session before where there is one. */
export type SessionToReview = Reviewed & { painBefore: number | null; before: Reviewed | null };

/**
 * What a session suggests for the next one, exercise by exercise: the one computation of it for the record and the draft
 * (rule REV-10). The cap and the ramp are those in force now, since the next session is what they bound.
 * @returns by the place of the exercise in the plan; undefined where no set of it was begun
 */
export function reviewSession(
  { plan, state, painBefore, before }: SessionToReview,
  facts: ClientFacts,
  kits: readonly WeightKit[],
  nowMs: number,
): (Recommendation | undefined)[] {
  const done = sessionsDone(facts);
  return plan.exercises.map((exercise, place) => {
    const [target] = exercise.limbs;
    const ramp = target && rampLevel(done, limbKind(target.limb), plan.schoolId, nowMs);
    const advice = recommend({ plan, state }, place, {
      painBefore,
      before,
      capPercentLop: limitsInForce(facts.clearances, nowMs).maxPercentLop,
      rampPercentLop: ramp?.running ? ramp.percentLop : null,
      kits,
    });
    return advice ?? undefined;
  });
}
