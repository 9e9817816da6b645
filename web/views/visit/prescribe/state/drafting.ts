import type { ClientRecord } from '#contract/client';
import type { PracticeView } from '#contract/practice';
import type { Text } from '#core/message';
import {
  type AlternativeId,
  type Basis,
  basisAt,
  type Draft,
  type DraftWish,
  type Judged,
  type Lead,
  type SessionChoice,
} from '#core/plan';
import { isNewcomer, type LastReview, type PlanInForce, planAsItIs } from '#core/record';
import { carryOver, loweredTo } from '#core/review';
import { translate } from '../../../../language/translate';
import { askPlanning } from '../../../../workers/planning';
import type { Wish } from './wish';

/** What a draft is made from, beside the wish. */
export type DraftFrom = {
  client: ClientRecord;
  practice: PracticeView;
  review: LastReview;
  inHand: PlanInForce | undefined;
  basis: Basis;
};

/** A session that was drafted: the best, or another way. */
export type Drafted = { id: 'best' | AlternativeId; session: SessionChoice; judged: Judged };

/** A session as it lies before the practitioner: what was drafted, why, the other ways, and where one goes on. */
export type OnBench = {
  session: SessionChoice | null;
  notes: readonly Text[];
  ways: readonly Drafted[];
  leads: readonly Lead[];
};

export const onBench = ({ session, judged, notes, leads = [], alternatives = [] }: Draft): OnBench => ({
  session,
  notes,
  // The best first.
  ways: session && judged ? [{ id: 'best', session, judged }, ...alternatives] : [],
  leads,
});

/** A draft for a wish. The search is done in a worker, so that the page answers meanwhile. */
export async function draftFor(asked: Wish, from: DraftFrom): Promise<Draft> {
  const { basis, practice } = from;
  const place = basis.places.find(({ id }) => id === asked.place);
  const there = place ? basisAt(basis, practice, place) : basis;
  const whole = wholeWish(asked, from);
  const draft = await askPlanning((worker) => worker.draftSession(whole, there));
  return withLiftNamed(draft, asked, basis);
}

/** The wish with what the record says of it: what is carried over, and what a review lowered. */
function wholeWish(asked: Wish, { client, practice, review, inHand, basis }: DraftFrom): DraftWish {
  const last = inHand?.prescription;
  return {
    ...asked,
    newcomer: isNewcomer(client.facts),
    carried: last ? carryOver(planAsItIs(last, client.facts, practice, basis), [], practice.weightKits) : [],
    lowered: last ? loweredTo(last.plan, review.changes) : new Map(),
  };
}

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
