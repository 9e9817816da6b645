import { z } from 'zod';
import type { Role } from '../access/permissions';
import type { Finding } from '../findings/finding';
import { type Message, msg } from '../message/message';
import { RULES } from '../rules/catalogue';
import { type BloodPressure, bloodPressureSchema, bloodPressureWords, holdsToday } from './blood-pressure';

export const daySignSchema = z.enum(['swelling', 'skin', 'fever', 'sleep', 'joint', 'same']);
/** What can be wrong on the day; each is asked so that yes means well. */
export type DaySign = z.infer<typeof daySignSchema>;

const NOT_TODAY = msg('Not today: check again at the next visit.');

/** Questions of the day, with what a no means (rule SCR-3). */
export const DAY_SIGNS: Record<
  DaySign,
  { ask: Message; no: Message; holds: boolean; remedy: Message; postOperative?: true }
> = {
  same: {
    ask: msg('Nothing new in health since last time'),
    no: msg('Something in health is new since last time'),
    holds: true,
    remedy: msg('A clinician screens again, or lifts the hold with a reason.'),
  },
  swelling: {
    ask: msg('Swelling going down, or none'),
    no: msg('Swelling is not going down'),
    holds: true,
    remedy: NOT_TODAY,
  },
  joint: {
    ask: msg('At least 4 days since surgery, joint quiet'),
    no: msg('Surgery is under 4 days ago or the joint is not quiet'),
    holds: true,
    remedy: NOT_TODAY,
    postOperative: true,
  },
  skin: {
    ask: msg('Skin intact under the cuff'),
    no: msg('Skin is not intact under the cuff'),
    holds: true,
    remedy: NOT_TODAY,
  },
  fever: { ask: msg('No fever'), no: msg('Fever'), holds: true, remedy: NOT_TODAY },
  sleep: {
    ask: msg('Slept and hydrated'),
    no: msg('Short of sleep or water'),
    holds: false,
    remedy: msg('Start low, and watch.'),
  },
};

/** The on-the-day check. `notWell` lists the questions answered no. */
export const dayCheckSchema = z.object({
  notWell: z.array(daySignSchema),
  painNow: z.number(msg('Give the pain now, 0 to 10.')).int().min(0).max(10),
  bloodPressure: bloodPressureSchema.nullable(),
  /** How ready they are, where it is asked: hours slept, soreness 0–10. It judges nothing. */
  readiness: z
    .object({
      sleepHours: z.number(msg('Enter the hours.')).min(0).max(24, msg('At most 24 hours.')).optional(),
      soreness: z.number(msg('Give the soreness, 0 to 10.')).int().min(0).max(10).optional(),
    })
    .optional(),
});
export type DayCheckAnswers = z.infer<typeof dayCheckSchema>;
/** One on record; older ones, and those made at home, do not say by which role. */
export type DayCheck = DayCheckAnswers & { atMs: number; by?: Role | undefined };

/** A check holds for the day it was made on: twelve hours, so that a night shift is one day. */
export const DAY_CHECK_HOLDS_MS = 12 * 3_600_000;

const { painToAskAbout: PAIN_TO_ASK_ABOUT, holdAt, retakeAfterMin } = RULES['SCR-3'].figures;

/** A blood pressure that holds the session for the day. */
export const bloodPressureToday = (reading: BloodPressure): Message =>
  msg('Blood pressure {bloodPressure} today is at or above {systolicMmHg} or {diastolicMmHg}', {
    bloodPressure: bloodPressureWords(reading),
    systolicMmHg: holdAt.systolicMmHg,
    diastolicMmHg: holdAt.diastolicMmHg,
  });

/** Findings of a check on the day: `hard` holds the session today (rule SCR-3). */
export function judgeDayCheck({ notWell, painNow, bloodPressure }: DayCheckAnswers): Finding[] {
  const findings: Finding[] = notWell.map((sign) => ({
    rule: 'SCR-3',
    level: DAY_SIGNS[sign].holds ? 'hard' : 'note',
    subject: sign,
    message: msg('{sign}.', { sign: DAY_SIGNS[sign].no }),
    remedy: DAY_SIGNS[sign].remedy,
  }));
  if (bloodPressure && holdsToday(bloodPressure)) {
    findings.push({
      rule: 'SCR-3',
      level: 'hard',
      subject: 'bloodPressure',
      message: msg('{tooHigh}.', { tooHigh: bloodPressureToday(bloodPressure) }),
      remedy: msg(
        'Rest {retakeAfterMin} minutes and measure once more: that reading counts. Refer if it stays.',
        { retakeAfterMin },
      ),
    });
  }
  if (painNow >= PAIN_TO_ASK_ABOUT) {
    findings.push({
      rule: 'SCR-3',
      level: 'note',
      subject: 'painNow',
      message: msg('Pain now is {painNow} of 10.', { painNow }),
      remedy: msg('Ask where and since when before you begin.'),
    });
  }
  return findings;
}
