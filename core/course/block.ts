import { z } from 'zod';
import { msg } from '../message/message';
import { deloadSchema } from '../plan/movement';
import { dayOf, isoDaySchema, isoOf, weekdaySchema } from '../quantity/days';
import type { OnDay } from './on-day';
import { seasonDaySchema } from './season';

/** One plan of a block: how often a week, on which weekdays, and how it is placed around heavy work (rules PRO-3, PRO-4). */
export const blockLineSchema = z.object({
  coursePlanId: z.string(msg('Choose the plan.')).min(1, msg('Choose the plan.')),
  perWeek: z
    .number(msg('Enter days a week.'))
    .int()
    .min(1, msg('At least one day a week.'))
    .max(7, msg('At most every day.')),
  /** More than once a day is for passive work only. */
  timesADay: z
    .number(msg('Enter times a day.'))
    .int()
    .min(1, msg('At least once.'))
    .max(3, msg('At most three times a day.')),
  available: z.array(weekdaySchema).min(1, msg('Choose at least one weekday.')).max(7),
  onHeavyDays: z.enum(['apart', 'finisher', 'either']),
});
export type BlockLine = z.infer<typeof blockLineSchema>;

/** A block of training as it is wished for (rules PRO-3, PRO-4, PRO-6). */
export const blockWishSchema = z.object({
  /** What it was started from; not there where from nothing (`BLOCK_STARTS`). */
  start: z.string().max(40).optional(),
  startsOn: isoDaySchema,
  weeks: z
    .number(msg('Enter the weeks.'))
    .int()
    .min(4, msg('A block lasts at least 4 weeks.'))
    .max(12, msg('A block lasts at most 12 weeks.')),
  lines: z
    .array(blockLineSchema)
    .min(1, msg('Choose at least one plan.'))
    .max(6, msg('At most six plans.'))
    .refine((lines) => new Set(lines.map(({ coursePlanId }) => coursePlanId)).size === lines.length, {
      message: msg('Each plan is listed once.').message,
    }),
  /** Weekdays of heavy training. */
  heavy: z.array(weekdaySchema).max(7),
  /** Every how many weeks one is a deload, and the share of the block's sets that is done in it; null for none. */
  deload: deloadSchema.nullable(),
  /** Games, journeys, sore days and days off. */
  season: z.array(seasonDaySchema).max(120, msg('At most 120 days of the calendar.')),
  /** Time of day, for the calendar: "17:30". */
  atTime: z.string().regex(/^([01]\d|2[0-3]):[0-5]\d$/, msg('Enter a time such as 17:30.')),
});
export type BlockWish = z.infer<typeof blockWishSchema>;

/** A session of a block: a plan on a day. */
export const scheduledSchema = z.object({
  day: isoDaySchema,
  coursePlanId: z.string().min(1),
  /** Its own for as long as the block is kept, whatever day it is moved to; not there in blocks of earlier releases. */
  id: z.uuid().optional(),
  /** How often it was moved, for calendars that have it. */
  sequence: z.number().int().min(0).optional(),
});
export type Scheduled = z.infer<typeof scheduledSchema>;

/** A block as it was kept: the wish, and which plan on which day, in order of days. */
export const blockSchema = z.object({
  wish: blockWishSchema,
  sessions: z.array(scheduledSchema).min(1, msg('Place a session.')).max(400, msg('At most 400 sessions.')),
});
export type Block = z.infer<typeof blockSchema>;

/** Sessions as a block keeps them, by their ISO day. */
export const scheduledOn = (sessions: readonly OnDay[]): Scheduled[] =>
  sessions.map(({ day, coursePlanId }) => ({ day: isoOf(day), coursePlanId }));

/** The sessions of a block by their day. */
export const onDays = ({ sessions }: Pick<Block, 'sessions'>): OnDay[] =>
  sessions.map((one) => ({ ...one, day: dayOf(one.day) })).sort((a, b) => a.day - b.day);
