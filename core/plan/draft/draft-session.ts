import { isMessage, type Message, msg } from '../../message/message';
import { PROTOCOLS } from '../../protocol/data/protocols';
import { rungSchema } from '../../protocol/exercise';
import { type Limb, limbKind } from '../../quantity/limb';
import { MS_PER_MINUTE } from '../../quantity/units';
import { RULES } from '../../rules/catalogue';
import { type Basis, isPostOperativeWork } from '../basis';
import type { SessionChoice } from '../choices';
import { basisOnRung } from '../compose';
import { GOALS } from '../goals';
import { alternativesTo, MOST_ALTERNATIVES } from './alternatives';
import { type BoundBy, type Bounds, boundBy, boundsOf } from './bounds';
import { fixAll } from './fix-all';
import { asksForTest, exercisesAsked, type For, isCarried, judgedTogether, type Tried } from './judge';
import { type Entry, isTested, namedOn, poolOf } from './pool';
import { whyNot } from './refusal';
import { search } from './search';
import type { Alternative, AlternativeId, Draft, DraftWish } from './wish';
import { type Work, workOf } from './work';

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
  if (!legs?.session || !arms?.session)
    return { ...(legs?.session ? legs : (arms ?? { session: null })), notes };
  const both = inTurn(legs.session, arms.session, basis);
  if (isMessage(both))
    return { ...legs, notes: [...notes, msg('The arms are left out: {why}', { why: both })] };
  const judged = legs.judged && arms.judged && judgedTogether(legs.judged, arms.judged);
  return {
    session: both,
    notes,
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
  const { session, notes, judged, alternatives } = bestOf(of, bounds, alternativesTo);
  return session
    ? {
        session,
        notes: [...notes, ...toKnow(session, wish, basis)],
        ...(judged ? { judged, alternatives: alternatives ?? [] } : {}),
      }
    : { session, notes };
}

/** @param alternatives what looks for others beside the best; without it there are none */
function bestOf(of: For, bounds: Bounds | null, alternatives?: typeof alternativesTo): Draft {
  const { wish, basis } = of;
  const refused = whyNot(wish, basis);
  if (refused) return { session: null, notes: [refused] };
  const pool = poolOf(wish, basis);
  if (isMessage(pool)) return { session: null, notes: [GOALS[wish.goal].word, pool] };
  const { works, leftOut } = worksOf(pool, of);
  const isPossible = possible(of);
  const best = search(testedOf(works, wish, basis), of, bounds, {
    isPossible,
    isWanted: goesOn(works.filter(({ id }) => isCarried(id, wish)).filter(isPossible), of),
  });
  const notes = [GOALS[wish.goal].word, ...leftOut.slice(0, MOST_LEFT_OUT)];
  if (!best.session) {
    const [first] = works;
    const refusal = first && alone(first, wish, basis);
    const why = best.why ?? (refusal && isMessage(refusal) ? refusal : null);
    return { session: null, notes: why ? [...notes, msg('No draft: {why}', { why })] : notes };
  }
  return {
    session: best.session,
    notes,
    judged: best.judged,
    ...(alternatives ? { alternatives: alternatives(best, works, of, bounds, isPossible) } : {}),
  };
}

/** Every exercise as it would be done, and why what one would look for cannot be. */
function worksOf(pool: readonly Entry[], { wish, basis }: For): { works: Work[]; leftOut: Message[] } {
  const isLookedFor = ([id]: Entry): boolean =>
    isTested(id, basis) || namedOn(wish).includes(id) || isCarried(id, wish);
  const all = pool.map((entry) => ({ entry, work: workOf(entry, wish, basis) }));
  const works = all.flatMap(({ work }) => (isMessage(work) ? [] : [work]));
  const leftOut = all.flatMap(({ entry, work }) =>
    isMessage(work) && (isLookedFor(entry) || works.length === 0) ? [work] : [],
  );
  const refused = works.flatMap((work) => {
    const made = isLookedFor([work.id, work.exercise]) ? alone(work, wish, basis) : null;
    return made && isMessage(made)
      ? [msg('{exercise} was left out: {why}', { exercise: work.exercise.label, why: made })]
      : [];
  });
  return { works, leftOut: [...leftOut, ...refused] };
}

/** A session of one exercise, or why the rules refuse it. */
const alone = ({ choices }: Work, { goal, schoolId }: DraftWish, basis: Basis): SessionChoice | Message =>
  fixAll({ goal, schoolId, exercises: choices }, basis);

/** Whether the rules allow an exercise by itself; asked once of each. */
function possible({ wish, basis }: For): (work: Work) => boolean {
  const known = new Map<Work, boolean>();
  return (work) => {
    const is = known.get(work) ?? !isMessage(alone(work, wish, basis));
    known.set(work, is);
    return is;
  };
}

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

const { fromYears } = RULES['PRO-6'].figures;

const BOUND_WORDS: Record<BoundBy, (figures: { reps: number; minutes: number }) => Message> = {
  'first-weeks': (figures) =>
    msg(
      'First two weeks: at most {reps} repetitions a limb and muscle, {minutes} min with a cuff up (PRO-6).',
      figures,
    ),
  age: (figures) =>
    msg(
      'From {fromYears} years on: at most {reps} repetitions a limb and muscle, {minutes} min with a cuff up (PRO-6).',
      {
        fromYears,
        ...figures,
      },
    ),
};

/** What is to be known of a draft beside its figures. */
function toKnow({ exercises }: SessionChoice, wish: DraftWish, basis: Basis): Message[] {
  const notes: Message[] = [];
  const bound = boundBy(basis);
  const bounds = boundsOf(basis);
  if (bound && bounds)
    notes.push(BOUND_WORDS[bound]({ reps: bounds.reps, minutes: bounds.inflatedMs / MS_PER_MINUTE }));
  const isAsked = exercises.some(({ exerciseId }) => {
    const exercise = basis.library[exerciseId];
    return exercise !== undefined && asksForTest(exercise, wish);
  });
  if (isAsked && exercises.every(({ load }) => load.kind === 'unweighed'))
    notes.push(
      msg('Without a 1RM there is only work that needs none: test one, or check 30 repetitions (LOAD-5).'),
    );
  const passive = exercises.some(({ protocolId }) => PROTOCOLS[protocolId].mode === 'passive');
  if (passive && isPostOperativeWork(wish.limbs, basis))
    notes.push(
      msg(
        'After an operation: 40 mmHg under the training pressure, 10 more each day until it is reached (PRS-4).',
      ),
    );
  if (exercises.some(({ primed }) => primed))
    notes.push(msg('Newcomer: the first inflation of each limb is primed (PRS-6).'));
  return notes;
}
