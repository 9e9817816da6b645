import { t } from '@lingui/core/macro';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { v4 as newId } from 'uuid';
import { type Draft, deriveFor, mirror, readSessionChoice, type SessionChoice } from '#core/plan';
import { draftOfToday } from '#core/record';
import { type DraftFrom, draftFor, type OnBench, onBench } from './drafting';
import type { Start } from './use-start';
import { firstWish, type Wish } from './wish';

/** What the composer begins with; `isLeft` where the practitioner left it there. */
export type Beginning = { wish: Wish; onBench: OnBench; isLeft: boolean };

/**
 * What the composer begins with: what was left there, today's session of the plan in hand, what is copied, or else a new draft.
 * `data` is undefined while that is worked out. What is asked for is settled as the composer opens.
 */
export function useBeginning(
  from: DraftFrom,
  { copied, goal }: Start,
  left: SessionChoice | null,
): { data: Beginning | undefined; error: Error | null; again: () => void } {
  const [{ key, wish, isLeft, known }] = useState(() => ({
    key: newId(),
    wish: firstWish(from.client, from.practice, { inHand: from.inHand, goal }, from.basis),
    isLeft: left !== null,
    known: withoutSearch(from, copied, left),
  }));
  const { data, error, refetch } = useQuery({
    queryKey: ['first draft', key],
    queryFn: async () => reviewed(await draftFor(wish, from), from),
    enabled: known === null,
    staleTime: Number.POSITIVE_INFINITY,
    gcTime: 0,
    retry: false,
  });
  const begun = known ?? data;
  return {
    data: begun && { wish, onBench: begun, isLeft },
    error,
    again: () => void refetch(),
  };
}

/** What needs no search; null where nothing is left, in hand or copied. */
function withoutSearch(from: DraftFrom, copied: Start['copied'], left: SessionChoice | null): OnBench | null {
  const { client, practice, inHand, basis } = from;
  const session = left && readSessionChoice(left);
  if (session) return { session, notes: [t`Taken up where it was left.`], ways: [], leads: [] };
  if (inHand) return reviewed(draftOfToday(inHand.prescription, client.facts, practice, basis), from);
  if (copied) return reviewed((copied.isMirrored ? mirror : deriveFor)(copied.session, basis), from);
  return null;
}

/** A draft, with what the last review said before its own notes. */
const reviewed = (draft: Draft, { review }: DraftFrom): OnBench =>
  onBench({ ...draft, notes: [...review.words, ...draft.notes] });
