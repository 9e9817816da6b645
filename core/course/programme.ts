import { z } from 'zod';
import type { Finding } from '../findings/finding';
import { goalIdSchema } from '../plan/goals';
import { levelInWeeks } from '../pressure/ramp';
import { schoolIdSchema } from '../protocol/schools';
import { limbKind, limbSchema } from '../quantity/limb';
import { RULES } from '../rules/catalogue';
import { type Day, dayOf, isoOf, weekdaySchema } from './days';
import type { Constraints } from './place-sessions';

const isoDay = z.string().refine((text) => Number.isInteger(dayOf(text)), 'Enter a date such as 2026-05-04.');

/** A block of training as it is wished for (rules PRO-3, PRO-4, PRO-6). */
export const programmeWishSchema = z.object({
  goal: goalIdSchema,
  schoolId: schoolIdSchema,
  /** The limb whose ramp the weeks show. */
  limb: limbSchema,
  startsOn: isoDay,
  weeks: z
    .number('Enter the weeks.')
    .int()
    .min(4, 'A block lasts at least 4 weeks.')
    .max(12, 'A block lasts at most 12 weeks.'),
  perWeek: z
    .number('Enter sessions a week.')
    .int()
    .min(1, 'At least one a week.')
    .max(7, 'At most one a day.'),
  available: z.array(weekdaySchema).min(1, 'Choose at least one weekday.'),
  heavy: z.array(weekdaySchema),
  besideHeavy: z.enum(['apart', 'finisher']),
  /** Every how many weeks one is a deload; null for none. */
  deloadEvery: z.number().int().min(3, 'At least every third week.').max(12).nullable(),
  daysOff: z.array(isoDay),
  /** Time of day, for the calendar: "17:30". */
  atTime: z.string().regex(/^([01]\d|2[0-3]):[0-5]\d$/, 'Enter a time such as 17:30.'),
});
export type ProgrammeWish = z.infer<typeof programmeWishSchema>;

/** A block as it was kept: the wish and its days, in order. */
export const programmeSchema = z.object({
  wish: programmeWishSchema,
  days: z.array(isoDay).min(1, 'Place a session.').max(84),
});
export type Programme = z.infer<typeof programmeSchema>;

/** What the wish asks of the placement. `done`, `kept` and `fromDay` matter when a block is planned again. */
export const constraintsOf = (
  wish: ProgrammeWish,
  {
    fromDay = dayOf(wish.startsOn),
    done = [],
    kept = [],
  }: Partial<Pick<Constraints, 'fromDay' | 'done' | 'kept'>> = {},
): Constraints => ({
  startDay: dayOf(wish.startsOn),
  weeks: wish.weeks,
  perWeek: wish.perWeek,
  available: wish.available,
  heavy: wish.heavy,
  besideHeavy: wish.besideHeavy,
  daysOff: wish.daysOff.map(dayOf),
  fromDay,
  done,
  kept,
});

/** One week of a block: its days, its share of LOP by the ramp, and what falls due in it. */
export type ProgrammeWeek = { week: number; days: Day[]; percentLop: number; deload: boolean; due: string[] };

const WEEKS_TO_RETEST = RULES['LOAD-2'].figures.shelfLifeDays / 7;
const WEEKS_TO_MEASURE = 4;

/**
 * The weeks of a block (rules PRS-4, LOAD-2, LOP-6, PRO-3, PRO-4).
 * @param levelPercentLop where the ramp stands when the block begins
 * @param capPercentLop what a clearance caps the pressure at, or `null`
 */
export function weeksOf(
  { wish, days }: Programme,
  levelPercentLop: number,
  capPercentLop: number | null,
): ProgrammeWeek[] {
  const startDay = dayOf(wish.startsOn);
  const all = days.map(dayOf);
  return Array.from({ length: wish.weeks }, (_, week) => {
    const number = week + 1;
    const due = [
      number > 1 && (number - 1) % WEEKS_TO_MEASURE === 0 && 'measure LOP again (LOP-6)',
      number > 1 && (number - 1) % WEEKS_TO_RETEST === 0 && 'test 1RM again (LOAD-2)',
      number === 3 && wish.goal === 'size' && 'growth may begin to show (PRO-3)',
    ];
    return {
      week,
      days: all.filter((day) => day >= startDay + 7 * week && day < startDay + 7 * number),
      percentLop: Math.min(
        levelInWeeks(levelPercentLop, week, limbKind(wish.limb), wish.schoolId),
        capPercentLop ?? 100,
      ),
      deload: wish.deloadEvery !== null && number % wish.deloadEvery === 0,
      due: due.filter((words) => words !== false),
    };
  });
}

const USUAL_MOST_PER_WEEK = RULES['PRO-3'].figures.mostPerWeek;

/** What the rules find about a block: how often, and that heavy work is needed for maximal strength (PRO-3, PRO-4). */
export function checkProgramme({ wish, days }: Programme): Finding[] {
  const findings: Finding[] = [];
  const twice = days.find((day, i) => days.indexOf(day) !== i);
  if (twice) {
    findings.push({
      rule: 'PRO-3',
      level: 'hard',
      subject: 'days',
      message: `Two sessions on ${twice} are less than 24 h apart.`,
      remedy: 'Move one to another day.',
    });
  }
  if (wish.goal !== 'passive' && busiestWeek(days.map(dayOf)) > USUAL_MOST_PER_WEEK) {
    findings.push({
      rule: 'PRO-3',
      level: 'guard',
      subject: 'perWeek',
      message: `More than ${USUAL_MOST_PER_WEEK} sessions fall within seven days.`,
      remedy: `Plan two or three a week, or have a clinician give the reason.`,
    });
  }
  if (wish.perWeek < 2) {
    findings.push({
      rule: 'PRO-3',
      level: 'note',
      subject: 'perWeek',
      message: 'Fewer than two sessions a week rarely work.',
      remedy: 'Plan two or three.',
    });
  }
  if (wish.goal === 'strength-bridge' && wish.heavy.length === 0) {
    findings.push({
      rule: 'PRO-4',
      level: 'note',
      subject: 'heavy',
      message: 'Maximal strength needs heavy work; this block has none.',
      remedy: 'Add heavy days as soon as they are possible.',
    });
  }
  return findings;
}

/** Most sessions in any seven days. */
const busiestWeek = (days: readonly Day[]): number =>
  Math.max(0, ...days.map((day) => days.filter((other) => other >= day && other < day + 7).length));

/** The first-month template: isolated exercises, start pressures, two a week (rule PRO-6). */
export const firstMonth = (wish: ProgrammeWish): ProgrammeWish => ({
  ...wish,
  weeks: 4,
  perWeek: 2,
  deloadEvery: null,
});

/** Planned days that are over and on which nothing was done. @param done days on which a session was finished */
export const missedDays = ({ days }: Programme, done: readonly Day[], today: Day): string[] =>
  days.filter((day) => dayOf(day) < today && !done.includes(dayOf(day))).map((day) => isoOf(dayOf(day)));
