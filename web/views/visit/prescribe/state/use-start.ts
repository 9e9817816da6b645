import { useSearchParams } from 'react-router';
import type { ClientRecord } from '#contract/client';
import type { CoursePlanChoice } from '#core/course';
import { choicesOf, type GoalId, goalIdSchema, mirrorName, type SessionChoice } from '#core/plan';
import { type PlanInForce, versionInForce } from '#core/record';
import { useClient } from '../../../../data/queries';
import { translate } from '../../../../language/translate';
import { NEW_PLAN } from '../../../../parts/plan/use-plan-in-hand';

/** Which plan is composed: one in hand, or a new one, which may be copied from another. */
export type Start = {
  inHand: PlanInForce | undefined;
  /** Whether its name and days are being changed. */
  isChanging: boolean;
  setChanging: (isChanging: boolean) => void;
  copied: Copied | null;
  /** What a new plan is for, where it was asked for by name; null otherwise. */
  goal: GoalId | null;
};

/** What a new plan begins with: the choices of another, for the other side or for another person. */
export type Copied = { session: SessionChoice; isMirrored: boolean; called: CoursePlanChoice };

/** The address of a new plan that is copied from another person's. */
export const copyAddress = (
  toId: string,
  { ofId, coursePlanId, isMirrored }: { ofId: string; coursePlanId: string; isMirrored: boolean },
): string =>
  `/people/${toId}/prescribe?${new URLSearchParams({ plan: NEW_PLAN, of: ofId, copy: coursePlanId, ...(isMirrored ? { side: 'other' } : {}) })}`;

/** What the address says a new plan is for; null where it says nothing. */
export function useGoal(): GoalId | null {
  const [search] = useSearchParams();
  return goalIdSchema.safeParse(search.get('goal')).data ?? null;
}

/** What the address says a new plan is copied from; null where from nothing, `undefined` while it is being read. */
export function useCopied(client: ClientRecord): Copied | null | undefined {
  const [search] = useSearchParams();
  const coursePlanId = search.get('copy');
  const { data: owner } = useClient(search.get('of') ?? client.id);
  if (coursePlanId === null) return null;
  if (!owner) return undefined;
  const coursePlan = owner.facts.coursePlans.find(({ id }) => id === coursePlanId);
  const version = versionInForce(owner.facts, coursePlanId);
  if (!coursePlan || !version) return null;
  const isMirrored = search.get('side') === 'other';
  const { ownName, occasion } = coursePlan;
  const limbs = version.plan.exercises.flatMap((exercise) => exercise.limbs.map(({ limb }) => limb));
  return {
    session: choicesOf(version.plan),
    isMirrored,
    called: {
      name: isMirrored && ownName !== null ? translate(mirrorName(ownName, limbs)) : ownName,
      occasion,
      untilMs: null,
    },
  };
}
