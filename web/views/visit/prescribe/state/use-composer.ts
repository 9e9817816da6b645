import { t } from '@lingui/core/macro';
import { useMemo, useState } from 'react';
import type { ClientRecord } from '#contract/client';
import type { PracticeView } from '#contract/practice';
import type { Finding } from '#core/findings';
import type { Text } from '#core/message';
import {
  type AlternativeId,
  applyFix,
  type Basis,
  basisAt,
  type Composed,
  composeCourse,
  type Draft,
  type DraftWish,
  deriveFor,
  draftSession,
  type ExerciseChoice,
  fitTemplate,
  GOALS,
  type GoalId,
  type Judged,
  type Lead,
  mirror,
  offers,
  type Plan,
  readSessionChoice,
  type SessionChoice,
  UnknownChoice,
} from '#core/plan';
import { isEqual, type Limb, limbKind } from '#core/quantity';
import {
  basisOf,
  draftOfToday,
  isNewcomer,
  isOperated,
  type LastReview,
  limbInHand,
  measuredStamp,
  nextPlan,
  planAsItIs,
  plansInForce,
  rungInForce,
} from '#core/record';
import { carryOver, loweredTo } from '#core/review';
import { usePractitioner } from '../../../../data/queries';
import { translate } from '../../../../language/translate';
import type { FindingFix } from '../../../../parts/base/FindingLine';
import { useDraft } from '../../../../parts/forms/use-draft';
import { isComplete, trainableLimbs } from './choices';
import type { Start } from './use-start';

/** What the draft is asked for, as far as it is chosen in the composer. */
export type Wish = Pick<
  DraftWish,
  'goal' | 'schoolId' | 'limbs' | 'together' | 'rung' | 'isolatedOnly' | 'place' | 'beforeLift'
>;

/** A session that was drafted: the best, or another way. */
export type Drafted = { id: 'best' | AlternativeId; session: SessionChoice; judged: Judged };

const MOST_KEYS = 9;

/** The limbs the last plan worked, and whether two of them at once. */
function limbsOf(plan: Plan | undefined, otherwise: Limb): Pick<Wish, 'limbs' | 'together'> {
  const all = plan?.exercises.flatMap(({ limbs }) => limbs.map(({ limb }) => limb)) ?? [];
  const limbs = [...new Set(all)];
  return {
    limbs: limbs.length > 0 ? limbs : [otherwise],
    together: plan?.exercises.some((exercise) => exercise.limbs.length > 1) ?? false,
  };
}

/** The limb a new plan begins with: one that was measured and that no plan trains yet, else the one in hand. */
function firstLimb({ facts, judgedAtMs }: Pick<ClientRecord, 'facts' | 'judgedAtMs'>): Limb {
  const planned = plansInForce(facts, judgedAtMs).flatMap(({ prescription }) =>
    prescription.plan.exercises.flatMap(({ limbs }) => limbs.map(({ limb }) => limb)),
  );
  const free = facts.occlusions.find(({ limb }) => !planned.includes(limb))?.limb;
  return free ?? limbInHand(facts, nextPlan(facts, judgedAtMs)?.prescription) ?? 'left-thigh';
}

/** What a plan begins with: an operated limb with the rung it is on (rule PRO-5). */
function firstGoal({ facts, judgedAtMs }: ClientRecord, plan: Plan | undefined): Pick<Wish, 'goal' | 'rung'> {
  const limb = plan?.exercises[0]?.limbs[0]?.limb ?? firstLimb({ facts, judgedAtMs });
  const stood = rungInForce(facts, limb)?.rung;
  const operated = isOperated(facts, limb, judgedAtMs);
  const rung = stood === undefined || stood === 'done' ? (operated ? 'passive' : 'isometric') : stood;
  // Nothing was measured: what is left is work without a LOP (rule PRS-7).
  const usual = facts.occlusions.length + facts.tightness.length === 0 ? 'aerobic' : 'size';
  return { goal: plan?.goal ?? (operated ? 'rehab' : usual), rung };
}

/** Both of a pair, where a goal is for both and both can be trained. */
export function limbsFor(
  goal: GoalId,
  limbs: readonly Limb[],
  basis: Basis,
): Pick<Wish, 'limbs' | 'together'> | null {
  const kind = limbs[0] && limbKind(limbs[0]);
  const pair = kind ? trainableLimbs(basis, kind) : [];
  return GOALS[goal].both && limbs.length === 1 && pair.length === 2 ? { limbs: pair, together: true } : null;
}

/** What was drafted: the best first, then the other ways. */
const waysOf = ({ session, judged, alternatives = [] }: Draft): Drafted[] =>
  session && judged ? [{ id: 'best', session, judged }, ...alternatives] : [];

/** The lift that a warm-up was drafted for, by its name in the sitting. */
function withLiftNamed(draft: Draft, { beforeLift }: Wish, { library }: Basis): Draft {
  const lift = beforeLift === undefined ? undefined : library[beforeLift];
  if (!lift || !draft.session?.sitting) return draft;
  const named = (session: SessionChoice): SessionChoice => ({
    ...session,
    sitting: (session.sitting ?? []).map((one) =>
      one.what === 'heavy-lift' ? { ...one, words: translate(lift.label) } : one,
    ),
  });
  const alternatives = (draft.alternatives ?? []).map((one) => ({ ...one, session: named(one.session) }));
  return { ...draft, session: named(draft.session), alternatives };
}

type Made = { composed: Composed | null; missing: string | null };

/** The composed session; or nothing while a figure is half typed, or what its choices point to is gone from the record. */
function composeOrSay(session: SessionChoice | null, basis: Basis): Made {
  if (!session || !isComplete(session)) return { composed: null, missing: null };
  try {
    return { composed: composeCourse(session, basis), missing: null };
  } catch (error) {
    if (!(error instanceof UnknownChoice)) throw error;
    return {
      composed: null,
      missing: t`${translate(error.says)} ${translate(error.remedy)} Or draft again.`,
    };
  }
}

/** The session being composed: choices, what they come to, what the rules find, and how each finding is corrected. */
export function useComposer(
  client: ClientRecord,
  practice: PracticeView,
  review: LastReview,
  { inHand, copied, goal }: Start,
) {
  const practitioner = usePractitioner();
  const basis: Basis = useMemo(
    () => basisOf(client.facts, practice, practitioner?.role ?? 'coach', client.judgedAtMs),
    [client, practice, practitioner?.role],
  );
  const last = inHand?.prescription;
  const newcomer = isNewcomer(client.facts);
  const today = useMemo(
    () => last && planAsItIs(last, client.facts, practice, basis),
    [last, client, practice, basis],
  );
  const [wish, setWish] = useState<Wish>(() => {
    const first = { ...firstGoal(client, last?.plan), ...(goal ? { goal } : {}) };
    const limbs = limbsOf(last?.plan, firstLimb(client));
    return {
      ...first,
      schoolId: last?.plan.schoolId ?? practice.settings.schoolId,
      ...limbs,
      ...limbsFor(first.goal, limbs.limbs, basis),
      isolatedOnly: false,
      place: last?.plan.place?.id,
    };
  });
  const draftFrom = (asked: Wish) => {
    const place = basis.places.find(({ id }) => id === asked.place);
    return withLiftNamed(
      draftSession(
        {
          ...asked,
          newcomer,
          carried: today ? carryOver(today, [], practice.weightKits) : [],
          lowered: last ? loweredTo(last.plan, review.changes) : new Map(),
        },
        place ? basisAt(basis, practice, place) : basis,
      ),
      asked,
      basis,
    );
  };
  const [kept, setKept, clearKept] = useDraft<SessionChoice | null>(
    `prescribe ${client.id} ${last?.id ?? ''} ${last?.plan.rungs?.rung ?? ''} ${copied ? JSON.stringify(copied) : ''} ${goal ?? ''} ${measuredStamp(client.facts)}`,
    null,
  );
  const [{ session, notes, ways, leads }, setDraft] = useState(
    (): {
      session: SessionChoice | null;
      notes: readonly Text[];
      ways: readonly Drafted[];
      leads: readonly Lead[];
    } => {
      const left = kept && readSessionChoice(kept);
      if (left) return { session: left, notes: [t`Taken up where it was left.`], ways: [], leads: [] };
      const first = last
        ? draftOfToday(last, client.facts, practice, basis)
        : copied
          ? (copied.isMirrored ? mirror : deriveFor)(copied.session, basis)
          : draftFrom(wish);
      return {
        session: first.session,
        notes: [...review.words, ...first.notes],
        ways: waysOf(first),
        leads: first.leads ?? [],
      };
    },
  );
  const [selected, setSelected] = useState(0);
  // What was changed by hand is not lost to another wish: it can be taken back.
  const [isOwn, setOwn] = useState(kept !== null);
  const [setAside, putAside] = useState<{
    wish: Wish;
    session: SessionChoice;
    notes: readonly Text[];
  } | null>(null);

  const change = (
    next: SessionChoice | null,
    why: readonly Text[] = notes,
    { among = ways, to = leads }: { among?: readonly Drafted[]; to?: readonly Lead[] } = {},
  ) => {
    setDraft({ session: next, notes: why, ways: among, leads: to });
    setSelected((place) => Math.max(0, Math.min(place, (next?.exercises.length ?? 1) - 1)));
    if (next && isComplete(next)) setKept(next);
  };
  const changeByHand = (next: SessionChoice | null) => {
    setOwn(true);
    putAside(null);
    change(next);
  };
  const changeExercise = (place: number, to: ExerciseChoice) =>
    session &&
    changeByHand({ ...session, exercises: session.exercises.map((old, i) => (i === place ? to : old)) });
  const beginAnew = (made: Draft, asked: Wish) => {
    putAside(isOwn && session ? { wish, session, notes } : null);
    setOwn(false);
    setWish(asked);
    change(made.session, made.notes, { among: waysOf(made), to: made.leads ?? [] });
  };
  const takeWay = (way: Drafted) => {
    putAside(isOwn && session ? { wish, session, notes } : null);
    setOwn(false);
    change(way.session);
  };
  const draftAgain = (asked: Wish) => beginAnew(draftFrom(asked), asked);
  const takeBack = () => {
    if (!setAside) return;
    setWish(setAside.wish);
    change(setAside.session, setAside.notes);
    setOwn(true);
    putAside(null);
  };

  const { composed, missing } = useMemo(() => composeOrSay(session, basis), [session, basis]);
  const findings = composed?.findings ?? [];
  const fixable = useMemo(
    () => (session && composed ? offers(session, composed.findings, basis) : []),
    [session, composed, basis],
  );
  const fix = (finding: Finding) => session && changeByHand(applyFix(session, finding, basis));
  const fixOf = (finding: Finding): FindingFix | undefined => {
    const place = fixable.indexOf(finding);
    if (place < 0) return undefined;
    return { apply: () => fix(finding), key: place < MOST_KEYS ? `Alt ${place + 1}` : '' };
  };
  const fixAt = (place: number) => {
    const finding = fixable[place];
    if (finding) fix(finding);
  };
  const takeTemplate = (template: SessionChoice) => {
    beginAnew(fitTemplate(template, basis), wish);
  };
  return {
    basis,
    wish,
    draftAgain,
    session,
    notes,
    leads,
    ways,
    takenWay: ways.find((way) => session !== null && isEqual(way.session, session)),
    takeWay,
    change: changeByHand,
    setAside,
    takeBack,
    changeExercise,
    selected,
    setSelected,
    composed,
    missing,
    findings,
    fixOf,
    fixAt,
    takeTemplate,
    clearKept,
  };
}

export type ComposerState = ReturnType<typeof useComposer>;
