import { type CoursePlan, nameOf } from '../course/course-plan';
import { msg } from '../message/message';
import { GOALS } from '../plan/goals';
import { isEqual } from '../quantity/is-equal';
import type { ClientFacts } from './facts';
import { versionInForce } from './version-in-force';

/** A record whose plans without a name of their own are called after what they train now, and by what for where another trains the same. */
export function namedAsTheyAre(facts: ClientFacts): ClientFacts {
  const called = facts.coursePlans.map((coursePlan) => {
    const plan = coursePlan.ownName === null ? versionInForce(facts, coursePlan.id)?.plan : undefined;
    return { goal: plan?.goal, coursePlan: plan ? { ...coursePlan, name: nameOf(plan) } : coursePlan };
  });
  const isShared = ({ id, name }: CoursePlan) =>
    called.some(
      ({ coursePlan: other }) => other.id !== id && other.state !== 'ended' && isEqual(other.name, name),
    );
  return {
    ...facts,
    coursePlans: called.map(({ goal, coursePlan }) =>
      goal && coursePlan.state !== 'ended' && isShared(coursePlan)
        ? { ...coursePlan, name: msg('{name}: {goal}', { name: coursePlan.name, goal: GOALS[goal].label }) }
        : coursePlan,
    ),
  };
}
