import type { WeightKit } from '../load/weight-kit';
import { dayAt } from '../quantity/days';
import type { Recommendation } from '../review/review';
import { reviewEach, type SessionToReview } from '../review/review-each';
import { heavyWorkNow } from './course-review';
import type { ClientFacts } from './facts';
import { limitsInForce } from './in-force';
import { sessionsDone } from './sessions-done';

/**
 * What a session suggests for the next one: the one computation of it for the record and the draft (rule REV-10). The cap and
 * the ramp are those in force now, since the next session is what they bound.
 * @returns by the place of the exercise in the plan; undefined where no set of it was begun
 */
export const reviewSession = (
  session: SessionToReview,
  facts: ClientFacts,
  kits: readonly WeightKit[],
  nowMs: number,
): (Recommendation | undefined)[] =>
  reviewEach(
    session,
    {
      done: sessionsDone(facts),
      limits: limitsInForce(facts, nowMs),
      kits,
      heavyWork: heavyWorkNow(facts, nowMs),
    },
    dayAt(nowMs, facts.zoneOffsetMs),
  );
