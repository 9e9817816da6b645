import { isMessage, type Message, msg } from '../../message/message';
import type { Limb } from '../../quantity/limb';
import { MS_PER_MINUTE } from '../../quantity/units';
import type { Basis } from '../basis';
import { orderRank } from '../check-session';
import type { ExerciseChoice, SessionChoice } from '../choices';
import { compile } from '../compile';
import { composeSession } from '../compose';
import { doseOf } from '../dose';
import { GOALS, isMixed } from '../goals';
import { proposedMovements, withMovements } from '../movements-for';
import { type Bounds, withinBounds, withSetLess } from './bounds';
import { fixAll } from './fix-all';
import { judge, pointsFor } from './judge';
import type { Judged } from './judged';
import { namedOn } from './pool';
import { exercisesAsked, type For, isCarried, type Tried } from './tried';
import type { DraftWish } from './wish';
import type { Work } from './work';

/** A session that was found, and what it was found to be. */
export type Found = { session: SessionChoice; tried: Tried; judged: Judged };

/** Of this many of the best the rules are asked; the others only by points. */
const MOST_ASKED = 6;
/** Of the best by themselves so many are put together, by how many a session has at most; of one muscle group three. */
const COMBINED: readonly number[] = [0, 30, 20, 13, 10];
const FEWEST_COMBINED = 8;
const MOST_OF_A_GROUP = 3;

/** How a search is narrowed: which works the rules allow by themselves, and what a session is to be beside good. */
export type Narrowed = { isPossible: (work: Work) => boolean; isWanted?: (tried: Tried) => boolean };

/**
 * The best session there is of some works: each number of them that the goal allows is put together, brought within the bounds, and
 * judged; of the best, those that the rules find nothing of above a note are judged again as they would be signed.
 * @returns `null` where no session is possible, with why the best by points is not
 */
export function search(
  works: readonly Work[],
  of: For,
  bounds: Bounds | null,
  { isPossible, isWanted = () => true }: Narrowed,
): Found | { session: null; why: Message | null } {
  const pointsOf = pointsFor(of);
  const most = exercisesAsked(of);
  const list = shortlist(works, of, pointsOf, COMBINED[most] ?? FEWEST_COMBINED, isPossible);
  const ranked = combinationsOf(list, most, of.wish)
    .flatMap((tried) => bounded(primed(tried, of.wish), bounds, of.basis) ?? [])
    .filter(isWanted)
    .map((tried) => ({ tried, points: pointsOf(tried) }))
    .sort((a, b) => b.points - a.points);
  let why: Message | null = null;
  let best: { session: SessionChoice; tried: Tried; points: number } | null = null;
  for (const { tried, points } of ranked.slice(0, MOST_ASKED)) {
    // What a remedy changes can only lose points.
    if (best && best.points >= points) break;
    const made = madeOf(tried, of, bounds);
    if (isMessage(made)) why ??= made;
    else {
      const after = asMade(tried, made);
      const remade = pointsOf(after);
      if (!best || remade > best.points) best = { session: made, tried: after, points: remade };
    }
  }
  return best
    ? { session: best.session, tried: best.tried, judged: judge(best.tried, of) }
    : { session: null, why };
}

/** The best works by themselves, few of each muscle group: what is worth putting together. */
function shortlist(
  works: readonly Work[],
  { wish }: For,
  pointsOf: (tried: Tried) => number,
  most: number,
  isPossible: (work: Work) => boolean,
): Work[] {
  const oneGroup = isMixed(wish.goal);
  const groups = new Map<string, number>();
  const best: Work[] = [];
  const ranked = works
    .map((work) => ({ work, points: pointsOf([work]) }))
    .sort((a, b) => b.points - a.points);
  for (const { work } of ranked) {
    if (best.length >= most) break;
    // Of a goal with both, functional exercises are one group: they leave room for the muscles.
    const isFunctional = work.exercise.kind === 'functional';
    const group = isFunctional && oneGroup ? 'functional' : `${work.exercise.muscle} ${isFunctional}`;
    const place = groups.get(group) ?? 0;
    const isLookedFor = namedOn(wish).includes(work.id) || isCarried(work.id, wish);
    if ((place >= MOST_OF_A_GROUP && !isLookedFor) || !isPossible(work)) continue;
    groups.set(group, place + 1);
    best.push(work);
  }
  return best;
}

/** Every set of one to so many works, each in the order it is done in; none with two of the same movement. */
function combinationsOf(works: readonly Work[], most: number, wish: DraftWish): Tried[] {
  const named = namedOn(wish);
  const ordered = [...works].sort(
    (a, b) =>
      orderRank(a.exercise) - orderRank(b.exercise) ||
      named.indexOf(a.id) - named.indexOf(b.id) ||
      byPosition(a).localeCompare(byPosition(b)),
  );
  let grown: Work[][] = [[]];
  for (const work of ordered) {
    const more = grown.filter(
      (some) => some.length < most && !some.some((other) => isSameMovement(other, work, wish)),
    );
    grown = [...grown, ...more.map((some) => [...some, work])];
  }
  return grown.slice(1);
}

const byPosition = ({ choices: [first] }: Work): string => first?.position ?? '';

/** One movement in two ways, such as a press with both legs and with one; a rung may name two that are alike. */
function isSameMovement(a: Work, b: Work, wish: DraftWish): boolean {
  const named = namedOn(wish);
  if (named.includes(a.id) && named.includes(b.id)) return false;
  const joints = ({ exercise }: Work) => [...exercise.joints].sort().join();
  return (
    a.exercise.muscle === b.exercise.muscle && joints(a) === joints(b) && a.exercise.kind === b.exercise.kind
  );
}

function bounded(tried: Tried, bounds: Bounds | null, { library }: Basis): [Tried] | null {
  if (!bounds) return [tried];
  const choices = withinBounds(
    tried.flatMap((work) => work.choices),
    bounds,
    library,
  );
  return choices && [withChoices(tried, choices)];
}

/** Works with other choices, in the same order; what has none other stays the work it is. */
function withChoices(tried: Tried, choices: readonly ExerciseChoice[]): Tried {
  return tried.map((work) => {
    const own = choices.filter(({ exerciseId }) => exerciseId === work.id);
    return own.every((choice, place) => choice === work.choices[place]) ? work : { ...work, choices: own };
  });
}

const asMade = (tried: Tried, { exercises }: SessionChoice): Tried => withChoices(tried, exercises);

/** The session of works as it can be signed: remedies applied, movements added, exactly within its bounds; or why it cannot. */
function madeOf(tried: Tried, { wish, basis }: For, bounds: Bounds | null): SessionChoice | Message {
  const { goal, schoolId, place } = wish;
  const { sitting } = GOALS[goal];
  const exercises = tried.flatMap(({ choices }) => choices);
  const steady = fixAll(
    {
      ...{ goal, schoolId, exercises },
      ...(sitting ? { sitting: [...sitting] } : {}),
      ...(place === undefined ? {} : { place }),
    },
    basis,
  );
  if (isMessage(steady)) return steady;
  const moving = steady.exercises.map((choice) =>
    withMovements(choice, proposedMovements(choice, goal, { schoolId, basis }), basis),
  );
  const made = fixAll({ ...steady, exercises: moving }, basis);
  return isMessage(made) || !bounds ? made : withinTime(made, bounds, basis);
}

/** The first inflation of each limb of a newcomer is primed (rule PRS-6). */
function primed(tried: Tried, { newcomer, goal }: DraftWish): Tried {
  if (!newcomer || GOALS[goal].from === 'passive') return tried;
  const seen = new Set<Limb>();
  const prime = (choice: ExerciseChoice): ExerciseChoice => {
    const isFirst = choice.limbs.every(({ limb }) => !seen.has(limb));
    for (const { limb } of choice.limbs) seen.add(limb);
    return { ...choice, primed: isFirst };
  };
  return tried.map((work) =>
    work.exercise.kind === 'passive' ? work : { ...work, choices: work.choices.map(prime) },
  );
}

/** With as many sets less as its timeline says, or why that is not possible. */
function withinTime(session: SessionChoice, bounds: Bounds, basis: Basis): SessionChoice | Message {
  let now = session;
  while (doseOf(compile(composeSession(now, basis).plan)).occludedMs > bounds.inflatedMs) {
    const exercises = withSetLess(now.exercises, 'time', basis.library);
    if (!exercises)
      return msg('It would keep a cuff up for more than {minutes} min (PRO-6).', {
        minutes: bounds.inflatedMs / MS_PER_MINUTE,
      });
    now = { ...now, exercises };
  }
  return now;
}
