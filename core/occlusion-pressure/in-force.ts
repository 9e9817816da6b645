import type { FitFact } from '../cuff/fact';
import type { Message } from '../message/message';
import { type Limb, type Position, uprightness } from '../quantity/limb';
import { newest } from '../quantity/newest';
import type { OcclusionFact } from './fact';
import { type MeasuredWith, reasonDue, type ShelfLife } from './shelf-life';

/** What the pressure of a limb is picked from. */
export type MeasuredFacts = { occlusions: readonly OcclusionFact[]; fits: readonly FitFact[] };

/** What is worn on a limb now: the newest of its girths. */
export const fitInForce = (fits: readonly FitFact[], limb: Limb): FitFact | undefined =>
  newest(fits.filter((fit) => fit.limb === limb));

/**
 * The pressure in force for a limb in a position, under what is worn there now (rules START-2, LOP-5, FIT-3): the newest
 * measured in that position, else in the least more reclined one; never one measured more upright, under which the same
 * mmHg would restrict more. Of a cuff as wide as the one that is worn, where there is one.
 * @param position `undefined` takes the newest in any
 */
export function pressureInForce(
  { occlusions, fits }: MeasuredFacts,
  limb: Limb,
  position: Position | undefined,
): OcclusionFact | undefined {
  const onLimb = occlusions.filter((fact) => fact.limb === limb);
  const worn = fitInForce(fits, limb);
  const alike = onLimb.filter(({ widthCm }) => widthCm === worn?.widthCm);
  const pool = alike.length > 0 ? alike : onLimb;
  if (position === undefined) return newest(pool);
  for (const moreReclined of [0, 1, 2]) {
    const found = newest(pool.filter((fact) => uprightness(position, fact.position) === moreReclined));
    if (found) return found;
  }
  return undefined;
}

/**
 * Why a pressure on record no longer holds for a limb as it is now, in words, or `null` while it does
 * (rules LOP-5, LOP-6, LOP-7).
 */
export function whyDue(
  fact: OcclusionFact,
  { fits }: Pick<MeasuredFacts, 'fits'>,
  position: Position | undefined,
  shelfLife: ShelfLife,
  nowMs: number,
): Message | null {
  const worn = fitInForce(fits, fact.limb);
  const now = { widthCm: worn?.widthCm ?? fact.widthCm, girthCm: worn?.girthCm ?? fact.girthCm, position };
  return reasonDue(measuredWith(fact), now, shelfLife, nowMs);
}

/** What rule LOP-6 asks of a stored pressure. */
export const measuredWith = (fact: OcclusionFact): MeasuredWith => ({
  measuredAtMs: fact.atMs,
  widthCm: fact.widthCm,
  girthCm: fact.girthCm,
  position: fact.position,
  pressureMmHg: fact.pressure.value,
  quickChecks: fact.quickChecks,
});
