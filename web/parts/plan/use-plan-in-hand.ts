import { useSearchParams } from 'react-router';
import type { ClientRecord } from '#contract/client';
import { type PlanInForce, plansInForce } from '#core/record';

/** In the address: which plan of a person is spoken of; none is the one that is next. */
const PARAM = 'plan';
/** A plan that is only being made. */
export const NEW_PLAN = 'new';

/** Which plan is spoken of, and how to speak of another. It stays from bench to bench. */
export function usePlanInHand(client: ClientRecord): {
  plans: PlanInForce[];
  /** Undefined where there is none yet, or a new one is being made. */
  inHand: PlanInForce | undefined;
  isNew: boolean;
  choose: (coursePlanId: string) => void;
} {
  const [search, setSearch] = useSearchParams();
  const plans = plansInForce(client.facts, client.judgedAtMs);
  const asked = search.get(PARAM);
  const isNew = asked === NEW_PLAN || plans.length === 0;
  const inHand = isNew ? undefined : (plans.find(({ coursePlan }) => coursePlan.id === asked) ?? plans[0]);
  const choose = (coursePlanId: string) => {
    const isNext = plans[0]?.coursePlan.id === coursePlanId;
    setSearch(isNext ? {} : { [PARAM]: coursePlanId }, { replace: true });
  };
  return { plans, inHand, isNew, choose };
}

/** The part of the address that keeps a plan in hand, for links from bench to bench. */
export function usePlanSearch(): string {
  const [search] = useSearchParams();
  const asked = search.get(PARAM);
  return asked === null || asked === NEW_PLAN ? '' : `?${PARAM}=${asked}`;
}

export const planSearch = (coursePlanId: string): string => `?${PARAM}=${coursePlanId}`;
