import { nameOf } from '../course/course-plan';
import type { ClientFacts } from './facts';
import { versionInForce } from './version-in-force';

/** A record whose plans without a name of their own are called after what they train now. */
export const namedAsTheyAre = (facts: ClientFacts): ClientFacts => ({
  ...facts,
  coursePlans: facts.coursePlans.map((coursePlan) => {
    const version = coursePlan.ownName === null ? versionInForce(facts, coursePlan.id) : undefined;
    return version ? { ...coursePlan, name: nameOf(version.plan) } : coursePlan;
  }),
});
