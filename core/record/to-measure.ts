import { type Message, msg } from '../message/message';
import { type RoundItem, roundOf } from '../occlusion-pressure/round';
import { LIMBS, type Limb, POSITIONS, type Position } from '../quantity/limb';
import type { ClientFacts } from './facts';
import { cuffInForce, plansInForce, pressureInForce, shelfLifeInForce, whyDue } from './in-force';

/** A pressure to measure, and why: none yet, or what the one on record is due for. */
export type ToMeasure = RoundItem & { why: Message };

// Before there is a plan: lying serves every position that is more upright, sitting is where most isolated work is done.
const FIRST_POSITIONS: readonly Position[] = ['lying', 'sitting'];

/**
 * Pressures to measure before the plans in force can be run, or a first one drafted: of every limb under a cuff, in the
 * positions that it trains in, else those it was measured in, lying first (rules LOP-5, LOP-6). Where a position has its
 * own, it holds or it is due; where it has none, one measured more reclined serves while it holds.
 */
export function toMeasure(facts: ClientFacts, nowMs: number): ToMeasure[] {
  const exercises = plansInForce(facts, nowMs).flatMap(({ prescription }) => prescription.plan.exercises);
  const trains = (limb: Limb): readonly Position[] => {
    const planned = exercises.filter(({ limbs }) =>
      limbs.some((target) => target.kind === 'measured' && target.limb === limb),
    );
    if (planned.length > 0) return planned.map(({ position }) => position);
    const known = facts.occlusions.filter((fact) => fact.limb === limb).map(({ position }) => position);
    return known.length > 0 ? known : FIRST_POSITIONS;
  };
  const limbs = LIMBS.filter((limb) => cuffInForce(facts, limb));
  return roundOf(limbs, POSITIONS).flatMap(({ limb, position }) => {
    if (!trains(limb).includes(position)) return [];
    const stored = pressureInForce(facts, limb, position);
    if (!stored) return [{ limb, position, why: msg('none yet') }];
    const due = whyDue(stored, facts, position, shelfLifeInForce(facts, limb, nowMs), nowMs);
    return due === null ? [] : [{ limb, position, why: due }];
  });
}
