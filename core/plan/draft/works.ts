import { isMessage, type Message, msg } from '../../message/message';
import type { Basis } from '../basis';
import type { SessionChoice } from '../choices';
import { fixAll } from './fix-all';
import { isNothing, type Nothing, nothing } from './nothing';
import { type Entry, isTested, namedOn } from './pool';
import { type For, isCarried } from './tried';
import type { DraftWish } from './wish';
import { type Work, workOf } from './work';

/** Every exercise as it would be done, and why what one would look for cannot be. */
export function worksOf(pool: readonly Entry[], { wish, basis }: For): { works: Work[]; leftOut: Nothing[] } {
  const isLookedFor = ([id]: Entry): boolean =>
    isTested(id, basis) || namedOn(wish).includes(id) || isCarried(id, wish);
  const all = pool.map((entry) => ({ entry, work: workOf(entry, wish, basis) }));
  const works = all.flatMap(({ work }) => (isNothing(work) ? [] : [work]));
  const leftOut = all.flatMap(({ entry, work }) =>
    isNothing(work) && (isLookedFor(entry) || works.length === 0) ? [work] : [],
  );
  const refused = works.flatMap((work) => {
    const made = isLookedFor([work.id, work.exercise]) ? alone(work, wish, basis) : null;
    return made && isMessage(made)
      ? [nothing(msg('{exercise} was left out: {why}', { exercise: work.exercise.label, why: made }))]
      : [];
  });
  return { works, leftOut: [...leftOut, ...refused] };
}

/** A session of one exercise, or why the rules refuse it. */
export const alone = (
  { choices }: Work,
  { goal, schoolId }: DraftWish,
  basis: Basis,
): SessionChoice | Message => fixAll({ goal, schoolId, exercises: choices }, basis);

/** Whether the rules allow an exercise by itself; asked once of each. */
export function possible({ wish, basis }: For): (work: Work) => boolean {
  const known = new Map<Work, boolean>();
  return (work) => {
    const is = known.get(work) ?? !isMessage(alone(work, wish, basis));
    known.set(work, is);
    return is;
  };
}
