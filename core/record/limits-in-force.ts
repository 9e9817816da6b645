import { LIMBS } from '../quantity/limb';
import { type Limits, limitsByLimb } from '../screening/clearance';
import { judgeScreening } from '../screening/decide';
import { answeredInForce } from './conditions-in-force';
import type { ClientFacts } from './facts';

/**
 * What binds each limb now: the letters that speak of it, and whether it may be trained by what was found (rule SCR-2). Where
 * no training may start at all, the decision on the screening says so, and no limb is named by itself.
 */
export function limitsInForce(
  facts: Pick<ClientFacts, 'conditions' | 'clearances' | 'stricter'>,
  nowMs: number,
): Limits {
  const { limbs } = judgeScreening(answeredInForce(facts, nowMs), facts.clearances, facts.stricter, nowMs);
  return limitsByLimb(facts.clearances, limbs.length === 0 ? LIMBS : limbs, nowMs);
}
