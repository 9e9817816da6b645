import { t } from '@lingui/core/macro';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { v4 as newId } from 'uuid';
import type { Text } from '#core/message';
import { type Draft, deriveFor, type Lead, mirror, readSessionChoice, type SessionChoice } from '#core/plan';
import { draftOfToday } from '#core/record';
import { type Drafted, type DraftFrom, draftFor, waysOf } from './drafting';
import type { Start } from './use-start';
import { firstWish, type Wish } from './wish';

/** A session as it lies before the practitioner: what was drafted, why, the other ways, and where one goes on. */
export type OnBench = {
  session: SessionChoice | null;
  notes: readonly Text[];
  ways: readonly Drafted[];
  leads: readonly Lead[];
};

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
  const [{ key, wish, known }] = useState(() => ({
    key: newId(),
    wish: firstWish(from.client, from.practice, { inHand: from.inHand, goal }, from.basis),
    known: withoutSearch(from, copied, left),
  }));
  const { data, error, refetch } = useQuery({
    queryKey: ['first draft', key],
    queryFn: async () => onBench(await draftFor(wish, from), from),
    enabled: known === null,
    staleTime: Number.POSITIVE_INFINITY,
    gcTime: 0,
    retry: false,
  });
  const begun = known ?? data;
  return {
    data: begun && { wish, onBench: begun, isLeft: left !== null },
    error,
    again: () => void refetch(),
  };
}

/** What needs no search; null where nothing is left, in hand or copied. */
function withoutSearch(from: DraftFrom, copied: Start['copied'], left: SessionChoice | null): OnBench | null {
  const { client, practice, inHand, basis } = from;
  const session = left && readSessionChoice(left);
  if (session) return { session, notes: [t`Taken up where it was left.`], ways: [], leads: [] };
  if (inHand) return onBench(draftOfToday(inHand.prescription, client.facts, practice, basis), from);
  if (copied) return onBench((copied.isMirrored ? mirror : deriveFor)(copied.session, basis), from);
  return null;
}

const onBench = (draft: Draft, { review }: DraftFrom): OnBench => ({
  session: draft.session,
  notes: [...review.words, ...draft.notes],
  ways: waysOf(draft),
  leads: draft.leads ?? [],
});
