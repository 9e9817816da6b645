import { t } from '@lingui/core/macro';
import { useMutation } from '@tanstack/react-query';
import { useMemo, useState } from 'react';
import type { Finding } from '#core/findings';
import type { Text } from '#core/message';
import {
  applyFix,
  type Basis,
  type Composed,
  composeCourse,
  type Draft,
  type ExerciseChoice,
  fitTemplate,
  offers,
  type SessionChoice,
  UnknownChoice,
} from '#core/plan';
import { isEqual } from '#core/quantity';
import { translate } from '../../../../language/translate';
import type { FindingFix } from '../../../../parts/base/FindingLine';
import { isComplete } from './choices';
import { type Drafted, type DraftFrom, draftFor, type OnBench, onBench } from './drafting';
import type { Beginning } from './use-beginning';
import type { Wish } from './wish';

const MOST_KEYS = 9;

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

/**
 * The session being composed: choices, what they come to, what the rules find, and how each finding is corrected.
 * @param keep what keeps the session on this tab until it is signed
 */
export function useComposer(from: DraftFrom, beginning: Beginning, keep: (session: SessionChoice) => void) {
  const { basis } = from;
  const [settled, settle] = useState(beginning.wish);
  const [{ session, notes, ways, leads }, lay] = useState(beginning.onBench);
  const [selected, setSelected] = useState(0);
  // What was changed by hand is not lost to another wish: it can be taken back.
  const [isOwn, setOwn] = useState(beginning.isLeft);
  const [setAside, putAside] = useState<{
    wish: Wish;
    session: SessionChoice;
    notes: readonly Text[];
  } | null>(null);
  const drafting = useMutation({ mutationFn: (asked: Wish) => draftFor(asked, from) });
  const wish = drafting.isPending ? drafting.variables : settled;

  const change = (next: SessionChoice | null, other: Partial<OnBench> = {}) => {
    lay({ notes, ways, leads, ...other, session: next });
    setSelected((place) => Math.max(0, Math.min(place, (next?.exercises.length ?? 1) - 1)));
    if (next && isComplete(next)) keep(next);
  };
  /** What is done by hand counts, not a draft that is still being looked for. */
  const changeByHand = (next: SessionChoice | null) => {
    drafting.reset();
    setOwn(true);
    putAside(null);
    change(next);
  };
  const changeExercise = (place: number, to: ExerciseChoice) =>
    session &&
    changeByHand({ ...session, exercises: session.exercises.map((old, i) => (i === place ? to : old)) });
  const putOwnAside = () => {
    putAside(isOwn && session ? { wish: settled, session, notes } : null);
    setOwn(false);
  };
  const beginAnew = (made: Draft, asked: Wish) => {
    putOwnAside();
    settle(asked);
    change(made.session, onBench(made));
  };
  const takeWay = (way: Drafted) => {
    drafting.reset();
    putOwnAside();
    change(way.session);
  };
  const draftAgain = (asked: Wish) => drafting.mutate(asked, { onSuccess: (made) => beginAnew(made, asked) });
  const takeBack = () => {
    if (!setAside) return;
    drafting.reset();
    settle(setAside.wish);
    change(setAside.session, { notes: setAside.notes });
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
    drafting.reset();
    beginAnew(fitTemplate(template, basis), settled);
  };
  return {
    basis,
    wish,
    draftAgain,
    /** Whether a draft is being looked for; it replaces the session once it is found. */
    isDrafting: drafting.isPending,
    failed: drafting.error,
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
  };
}

export type ComposerState = ReturnType<typeof useComposer>;
