import { roundDownToDivision } from '../quantity/rounding';
import { RULES } from '../rules/catalogue';

/** Times of one priming cycle (rule PRS-6). */
export const PRIMING = RULES['PRS-6'].figures;

/**
 * Pressures of the priming cycles in mmHg: from 60 % of the target, 20 mmHg more each cycle, until the target (rule
 * PRS-6).
 * @param targetMmHg the pressure to get used to
 * @param gaugeDivisionMmHg each is rounded down to it
 * @example 104 mmHg, division 2 → 62, 82, 102, 104
 */
export function primingPressures(targetMmHg: number, gaugeDivisionMmHg: number): number[] {
  const pressures: number[] = [];
  let nextMmHg = roundDownToDivision(targetMmHg * PRIMING.startShare, gaugeDivisionMmHg);
  while (nextMmHg < targetMmHg) {
    pressures.push(nextMmHg);
    nextMmHg += PRIMING.stepMmHg;
  }
  return [...pressures, targetMmHg];
}

/** How long the cycles take before the cuff goes up for the work, in ms. */
export const primingMs = (cycles: number): number => cycles * (PRIMING.onMs + PRIMING.offMs);
