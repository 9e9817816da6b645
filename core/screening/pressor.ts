import { z } from 'zod';
import { type Message, msg, sentences } from '../message/message';
import { roundDownToDivision } from '../quantity/rounding';
import { RULES } from '../rules/catalogue';
import { type BloodPressure, bloodPressureSchema, bloodPressureWords } from './blood-pressure';
import { isBackTo, isTooHigh, limitInWork } from './pressure-in-work';

/** Two minutes of light work under the cuff of one limb, and the blood pressure around it (rule RUN-8). */
export const pressorReadingsSchema = z.object({
  percentLop: z
    .number(msg('Enter the share of LOP.'))
    .min(10, msg('At least 10 %.'))
    .max(80, msg('At most 80 %.')),
  before: bloodPressureSchema,
  minute1: bloodPressureSchema,
  minute2: bloodPressureSchema,
  /** Five minutes after the cuff came down. */
  after: bloodPressureSchema,
});
export type PressorReadings = z.infer<typeof pressorReadingsSchema>;

/** What a pressor response comes to: a share of LOP that a clinician may keep as a cap, or no work under a cuff. */
export type PressorResponse =
  | { kind: 'cap'; capPercentLop: number; words: Message }
  | { kind: 'none-needed'; words: Message }
  | { kind: 'not-under-a-cuff'; words: Message };

const MOST_PERCENT = RULES['PRS-3'].figures.exercisePercentLop.most;
const LOWEST_CAP = 10;
const STEP = 5;
const LATER_POINTS = RULES['REV-1'].figures.pointsDown;

/**
 * The share of LOP at which the blood pressure of work would stay under the limit, if it rises in proportion to the share. That it does
 * is a working assumption of this app: it only ever lowers, and who decides is a clinician. Above the limit already, or not back at
 * five minutes, it lies lower than what was held (rule RUN-8).
 * @param limit the practice's own, which is never taken for higher than the rule's
 * @example before 140/84, then 180/95 at 40 %, limit 220/105: 40 × min(80 ÷ 40, 21 ÷ 11) = 76 //=> { kind: 'cap', capPercentLop: 75 }
 */
export function pressorResponse(readings: PressorReadings, limit: BloodPressure): PressorResponse {
  const { percentLop, before, minute1, minute2, after } = readings;
  const most = limitInWork(limit);
  const share = (of: keyof BloodPressure): number => {
    const rise = Math.max(minute1[of], minute2[of]) - before[of];
    return rise <= 0 ? Number.POSITIVE_INFINITY : Math.max(0, most[of] - before[of]) / rise;
  };
  const isOver = isTooHigh(minute1, limit) || isTooHigh(minute2, limit);
  const isBack = isBackTo(before, after);
  const byRise = percentLop * Math.min(share('systolicMmHg'), share('diastolicMmHg'));
  const lower = isOver || !isBack ? percentLop - LATER_POINTS : Number.POSITIVE_INFINITY;
  const cap = roundDownToDivision(Math.min(byRise, lower, MOST_PERCENT), STEP);
  const values = {
    percentLop,
    before: bloodPressureWords(before),
    minute1: bloodPressureWords(minute1),
    minute2: bloodPressureWords(minute2),
    after: bloodPressureWords(after),
  };
  const seen = isBack
    ? msg(
        'At {percentLop} % of LOP {before} rose to {minute1} and {minute2}, {after} five minutes after.',
        values,
      )
    : msg(
        'At {percentLop} % of LOP {before} rose to {minute1} and {minute2}, {after} five minutes after: not back.',
        values,
      );
  if (cap < LOWEST_CAP)
    return {
      kind: 'not-under-a-cuff',
      words: sentences(seen, msg('Ask a physician before any work under a cuff.')),
    };
  if (cap >= MOST_PERCENT)
    return { kind: 'none-needed', words: sentences(seen, msg('No cap of their own.')) };
  return {
    kind: 'cap',
    capPercentLop: cap,
    words: sentences(seen, msg('A cap at {cap} % of LOP.', { cap })),
  };
}
