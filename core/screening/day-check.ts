import { z } from 'zod';
import type { Role } from '../access/deeds';
import type { Finding } from '../findings/finding';
import { RULES } from '../rules/catalogue';
import { bloodPressureSchema, bloodPressureWords, holdsToday } from './blood-pressure';

export const daySignSchema = z.enum(['swelling', 'skin', 'fever', 'sleep', 'joint', 'same']);
/** What can be wrong on the day; each is asked so that yes means well. */
export type DaySign = z.infer<typeof daySignSchema>;

const NOT_TODAY = 'Not today: check again at the next visit.';

/** Questions of the day, with what a no means (rule SCR-3). */
export const DAY_SIGNS: Record<
  DaySign,
  { ask: string; no: string; holds: boolean; remedy: string; postOperative?: true }
> = {
  same: {
    ask: 'Nothing new in health since last time',
    no: 'Something in health is new since last time',
    holds: true,
    remedy: 'A clinician screens again, or lifts the hold with a reason.',
  },
  swelling: {
    ask: 'Swelling going down, or none',
    no: 'Swelling is not going down',
    holds: true,
    remedy: NOT_TODAY,
  },
  joint: {
    ask: 'At least 4 days since surgery, joint quiet',
    no: 'Surgery is under 4 days ago or the joint is not quiet',
    holds: true,
    remedy: NOT_TODAY,
    postOperative: true,
  },
  skin: {
    ask: 'Skin intact under the cuff',
    no: 'Skin is not intact under the cuff',
    holds: true,
    remedy: NOT_TODAY,
  },
  fever: { ask: 'No fever', no: 'Fever', holds: true, remedy: NOT_TODAY },
  sleep: {
    ask: 'Slept and hydrated',
    no: 'Short of sleep or water',
    holds: false,
    remedy: 'Start low, and watch.',
  },
};

/** The on-the-day check. `notWell` lists the questions answered no. */
export const dayCheckSchema = z.object({
  notWell: z.array(daySignSchema),
  painNow: z.number('Give the pain now, 0 to 10.').int().min(0).max(10),
  bloodPressure: bloodPressureSchema.nullable(),
});
export type DayCheckAnswers = z.infer<typeof dayCheckSchema>;
/** One on record; older ones, and those made at home, do not say by which role. */
export type DayCheck = DayCheckAnswers & { atMs: number; by?: Role | undefined };

/** A check holds for the day it was made on: twelve hours, so that a night shift is one day. */
export const DAY_CHECK_HOLDS_MS = 12 * 3_600_000;

const { painToAskAbout: PAIN_TO_ASK_ABOUT, holdAt, retakeAfterMin } = RULES['SCR-3'].figures;

/** Findings of a check on the day: `hard` holds the session today (rule SCR-3). */
export function judgeDayCheck({ notWell, painNow, bloodPressure }: DayCheckAnswers): Finding[] {
  const findings: Finding[] = notWell.map((sign) => ({
    rule: 'SCR-3',
    level: DAY_SIGNS[sign].holds ? 'hard' : 'note',
    subject: sign,
    message: `${DAY_SIGNS[sign].no}.`,
    remedy: DAY_SIGNS[sign].remedy,
  }));
  if (bloodPressure && holdsToday(bloodPressure)) {
    findings.push({
      rule: 'SCR-3',
      level: 'hard',
      subject: 'bloodPressure',
      message: `Blood pressure ${bloodPressureWords(bloodPressure)} today is at or above ${holdAt.systolicMmHg} or ${holdAt.diastolicMmHg}.`,
      remedy: `Rest ${retakeAfterMin} minutes and measure once more: that reading counts. Refer if it stays.`,
    });
  }
  if (painNow >= PAIN_TO_ASK_ABOUT) {
    findings.push({
      rule: 'SCR-3',
      level: 'note',
      subject: 'painNow',
      message: `Pain now is ${painNow} of 10.`,
      remedy: 'Ask where and since when before you begin.',
    });
  }
  return findings;
}
