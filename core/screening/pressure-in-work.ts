import { RULES } from '../rules/catalogue';
import type { BloodPressure } from './blood-pressure';

const { neverAbove, backWithinMmHg } = RULES['RUN-8'].figures;

/** The limit that counts: the practice's own, which is never taken for higher than the rule's (rule RUN-8). */
export const limitInWork = (limit: BloodPressure): BloodPressure => ({
  systolicMmHg: Math.min(limit.systolicMmHg, neverAbove.systolicMmHg),
  diastolicMmHg: Math.min(limit.diastolicMmHg, neverAbove.diastolicMmHg),
});

/**
 * Whether work ends at once by a reading (rule RUN-8).
 * @param limit the practice's own, which is never taken for higher than the rule's
 * @example isTooHigh({ systolicMmHg: 221, diastolicMmHg: 90 }, { systolicMmHg: 220, diastolicMmHg: 105 }) //=> true
 */
export function isTooHigh({ systolicMmHg, diastolicMmHg }: BloodPressure, limit: BloodPressure): boolean {
  const most = limitInWork(limit);
  return systolicMmHg > most.systolicMmHg || diastolicMmHg > most.diastolicMmHg;
}

/** Whether a reading after work is back within what the rule allows of the one before (rule RUN-8). */
export const isBackTo = (before: BloodPressure, after: BloodPressure): boolean =>
  after.systolicMmHg <= before.systolicMmHg + backWithinMmHg &&
  after.diastolicMmHg <= before.diastolicMmHg + backWithinMmHg;
