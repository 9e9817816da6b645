import { isMessage, type Message, msg } from '../../message/message';
import { rungSchema } from '../../protocol/exercise';
import { type Limb, limbKind } from '../../quantity/limb';
import { type Basis, isPostOperativeWork } from '../basis';
import type { SessionChoice } from '../choices';
import { basisOnRung } from '../compose';
import { GOALS, isMixed } from '../goals';
import { alternativesTo, MOST_ALTERNATIVES } from './alternatives';
import { hasItsShape } from './aspects';
import { type Bounds, boundsOf } from './bounds';
import { fixAll } from './fix-all';
import { judgedTogether } from './judge';
import { isNothing } from './nothing';
import { isTested, poolOf } from './pool';
import { whyNot } from './refusal';
import { type Found, search } from './search';
import { toKnow } from './to-know';
import { exercisesAsked, type For, isCarried, type Tried } from './tried';
import type { Alternative, AlternativeId, Draft, DraftWish, Lead } from './wish';
import type { Work } from './work';
import { alone, possible, worksOf } from './works';

/** As many exercises as a session holds, each limb in turn counted; of legs and then arms so many of either. */
const MOST_EXERCISES = 8;
const MOST_OF_A_PAIR = 2;
/** Of what was left out no more is said. */
const MOST_LEFT_OUT = 3;

/**
 * A whole session for a goal: the best of what this person, place and kit, the ladder, the letters and the bounds allow, by one score
 * that can be read, with two others (rules SCR-2, PRS-2, PRS-4, PRS-6, LOAD-3 to LOAD-5, PRO, PRO-6; docs/decisions/drafts.md).
 * It keeps every limit by itself: the rules find nothing of it above a note.
 */
export function draftSession(wish: DraftWish, basis: Basis): Draft {
  const kinds = new Set(wish.limbs.map(limbKind));
  const bounds = boundsOf(basis);
  if (kinds.size > 1) return draftLegsThenArms(wish, basis, bounds);
  const draft = draftOfOneKind(wish, basis, bounds);
  const [limb, ...others] = wish.limbs;
  return draft.session && limb && others.length === 0 && isOnLadder(limb, wish, basis)
    ? withRungs(draft, draft.session, limb, wish, basis)
    : draft;
}

const isOnLadder = (limb: Limb, { goal }: DraftWish, basis: Basis): boolean =>
  GOALS[goal].from === 'rung' &&
  basis.rungs.get(limb) !== 'done' &&
  (basis.rungs.has(limb) || isPostOperativeWork([limb], basis));

/** The work of every other rung of which there is any, so that one signature holds for the ladder (rules PRO-5, CRS-1). */
function withRungs(draft: Draft, session: SessionChoice, limb: Limb, wish: DraftWish, basis: Basis): Draft {
  const others = rungSchema.options.flatMap((rung) => {
    if (rung === wish.rung) return [];
    const onRung = { ...wish, rung, newcomer: false };
    const { session: work } = bestOf(
      { wish: onRung, basis: basisOnRung(basis, limb, rung) },
      boundsOf(basis),
    );
    return work ? [{ rung, exercises: work.exercises }] : [];
  });
  const rungs = { limb, rung: wish.rung, others };
  const laddered = (one: SessionChoice): SessionChoice => {
    const fixed = fixAll({ ...one, rungs }, basis);
    return isMessage(fixed) ? one : fixed;
  };
  return {
    ...draft,
    session: laddered(session),
    alternatives: (draft.alternatives ?? []).map((one) => ({ ...one, session: laddered(one.session) })),
  };
}

/** Legs and then arms: the cuffs of one pair are down before the other pair goes up (rule PRO-2). */
function draftLegsThenArms(wish: DraftWish, basis: Basis, bounds: Bounds | null): Draft {
  const half = bounds && { ...bounds, inflatedMs: bounds.inflatedMs / 2 };
  const [legs, arms] = (['leg', 'arm'] as const).map((kind) =>
    draftOfOneKind(
      { ...wish, limbs: wish.limbs.filter((limb) => limbKind(limb) === kind) },
      basis,
      half,
      MOST_OF_A_PAIR,
    ),
  );
  const notes = [...(legs?.notes ?? []), ...(arms?.notes ?? [])];
  const leads = [...(legs?.leads ?? []), ...(arms?.leads ?? [])];
  if (!legs?.session || !arms?.session)
    return { ...(legs?.session ? legs : (arms ?? { session: null })), notes };
  const both = inTurn(legs.session, arms.session, basis);
  if (isMessage(both))
    return { ...legs, notes: [...notes, msg('The arms are left out: {why}', { why: both })] };
  const judged = legs.judged && arms.judged && judgedTogether(legs.judged, arms.judged);
  return {
    session: both,
    notes,
    leads,
    ...(judged ? { judged } : {}),
    alternatives: alternativesInTurn(legs, arms, basis),
  };
}

/** The ways in which the legs, the arms or both can be done otherwise; what has no such way stays as it is. */
function alternativesInTurn(legs: Draft, arms: Draft, basis: Basis): Alternative[] {
  const ids = new Set([...(legs.alternatives ?? []), ...(arms.alternatives ?? [])].map(({ id }) => id));
  const way = (draft: Draft, id: AlternativeId) => draft.alternatives?.find((one) => one.id === id) ?? draft;
  return [...ids].slice(0, MOST_ALTERNATIVES).flatMap((id): Alternative[] => {
    const [first, second] = [way(legs, id), way(arms, id)];
    if (!first.session || !second.session || !first.judged || !second.judged) return [];
    const session = inTurn(first.session, second.session, basis);
    return isMessage(session) ? [] : [{ id, session, judged: judgedTogether(first.judged, second.judged) }];
  });
}

/** One session after another in one sitting, or why that cannot be signed. */
const inTurn = (first: SessionChoice, second: SessionChoice, basis: Basis): SessionChoice | Message =>
  first.exercises.length + second.exercises.length > MOST_EXERCISES
    ? msg('A session holds {most} exercises.', { most: MOST_EXERCISES })
    : fixAll({ ...first, exercises: [...first.exercises, ...second.exercises] }, basis);

/** The best of one kind of limb, with two others, and what is to be known of them. */
function draftOfOneKind(wish: DraftWish, basis: Basis, bounds: Bounds | null, most?: number): Draft {
  const of = { wish, basis, most };
  const draft = bestOf(of, bounds, alternativesTo);
  if (!draft.session) return draft;
  const { notes, leads } = toKnow(draft.session, wish, basis);
  return { ...draft, notes: [...draft.notes, ...notes], leads: [...(draft.leads ?? []), ...leads] };
}

/** To the rung that a limb is on, where the work that was asked for is above it (rule PRO-5). */
const rungLeads = ({ wish, basis }: For): Lead[] =>
  wish.limbs.flatMap((limb): Lead[] => {
    const stood = basis.rungs.get(limb);
    const isAsked = GOALS[wish.goal].from === 'rung' && stood === wish.rung;
    return stood === undefined || stood === 'done' || isAsked ? [] : [{ to: 'rung', rung: stood }];
  });

/** Where nothing leads on, the library does: something is always to be done next. */
const leadsOr = (leads: Lead[]): Lead[] => (leads.length > 0 ? leads : [{ to: 'exercises' }]);

/** @param alternatives what looks for others beside the best; without it there are none */
function bestOf(of: For, bounds: Bounds | null, alternatives?: typeof alternativesTo): Draft {
  const { wish, basis } = of;
  const refused = whyNot(wish, basis);
  if (refused) return { session: null, notes: [refused.why], leads: refused.leads };
  const pool = poolOf(wish, basis);
  if (isNothing(pool)) return { session: null, notes: [GOALS[wish.goal].word, pool.why], leads: pool.leads };
  const { works, leftOut } = worksOf(pool, of);
  const leads = leftOut.flatMap((one) => one.leads);
  const isPossible = possible(of);
  const goes = goesOn(works.filter(({ id }) => isCarried(id, wish)).filter(isPossible), of);
  const hasShape = (tried: Tried) => goes(tried) && hasItsShape(tried, of);
  // What was tested is looked through by itself, too: of a large library the best together are not all on one short list.
  const tested = testedOf(works, wish, basis);
  const searched = (isWanted: (tried: Tried) => boolean) => {
    const among = (some: readonly Work[]) => search(some, of, bounds, { isPossible, isWanted });
    return tested === works ? among(works) : better(among(tested), among(works));
  };
  const shaped = searched(hasShape);
  const isShaped = shaped.session !== null || !isMixed(wish.goal);
  const isWanted = isShaped ? hasShape : goes;
  const best = isShaped ? shaped : searched(goes);
  const notes = [GOALS[wish.goal].word, ...leftOut.slice(0, MOST_LEFT_OUT).map(({ why }) => why)];
  if (!best.session) {
    const [first] = works;
    const refusal = first && alone(first, wish, basis);
    const why = best.why ?? (refusal && isMessage(refusal) ? refusal : null);
    return {
      session: null,
      notes: why ? [...notes, msg('No draft: {why}', { why })] : notes,
      leads: leadsOr([...leads, ...rungLeads(of)]),
    };
  }
  if (!alternatives) return { session: best.session, notes, leads, judged: best.judged };
  const otherWays = (than: Found) => alternatives(than, works, of, bounds, isPossible);
  const ways = otherWays(best);
  const overtakes = ways.find(({ tried, judged }) => judged.points > best.judged.points && isWanted(tried));
  const [first, others] = overtakes ? [overtakes, otherWays(overtakes)] : [best, ways];
  return {
    session: first.session,
    notes,
    leads,
    judged: first.judged,
    alternatives: others.map(({ id, session, judged }) => ({ id, session, judged })),
  };
}

type Searched = ReturnType<typeof search>;

/** What has more points of two that were found; the first where they have the same, or nothing was found. */
const better = (one: Searched, other: Searched): Searched =>
  one.session && !(other.session && other.judged.points > one.judged.points) ? one : other;

/** Of work by a share of a 1RM what was tested, if anything of it can be done; all that is ready otherwise (rule LOAD-5). */
function testedOf(works: readonly Work[], wish: DraftWish, basis: Basis): readonly Work[] {
  const { from, functional } = GOALS[wish.goal];
  const isOfTests =
    from === 'tested' && functional === undefined && works.some(({ truePercent }) => truePercent !== null);
  return isOfTests ? works.filter(({ id }) => isTested(id, basis) || isCarried(id, wish)) : works;
}

/** Whether a session holds what was trained last, as far as there is room for it. */
const goesOn = (carried: readonly Work[], of: For): ((tried: Tried) => boolean) => {
  const kept = carried.slice(0, exercisesAsked(of));
  return (tried) => kept.every(({ id }) => tried.some((work) => work.id === id));
};
