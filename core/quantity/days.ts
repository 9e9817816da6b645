import { z } from 'zod';
import { list, type Message, msg, only } from '../message/message';
import { MS_PER_DAY } from './units';

/** Days since 1 January 1970 on the calendar of the practice: a date without a time or a zone. */
export type Day = number;

const FIRST_WEEKDAY = 3;
const ISO_DAY = /^\d{4}-\d{2}-\d{2}$/;

/** A day from "2026-05-04"; NaN when it is none, such as the 31st of a shorter month. */
export function dayOf(isoDay: string): Day {
  const ms = ISO_DAY.test(isoDay) ? Date.parse(`${isoDay}T00:00:00Z`) : Number.NaN;
  const day = ms / MS_PER_DAY;
  return Number.isInteger(day) && isoOf(day) === isoDay ? day : Number.NaN;
}

export const isoDaySchema = z
  .string()
  .refine((text) => Number.isInteger(dayOf(text)), msg('Enter a date such as 2026-05-04.'));

/** "2026-05-04". */
// biome-ignore lint/plugin: a date made from its argument reads no clock
export const isoOf = (day: Day): string => new Date(day * MS_PER_DAY).toISOString().slice(0, 10);

/** The day of a moment where the clock is so far ahead of UTC. */
export const dayAt = (atMs: number, zoneOffsetMs: number): Day =>
  Math.floor((atMs + zoneOffsetMs) / MS_PER_DAY);

/** 0 is Monday, 6 is Sunday. */
export const weekdaySchema = z.number().int().min(0).max(6);

/** 0 is Monday, 6 is Sunday. */
export const weekdayOf = (day: Day): number => (((day + FIRST_WEEKDAY) % 7) + 7) % 7;

const WEEKDAYS = [
  msg('Mon'),
  msg('Tue'),
  msg('Wed'),
  msg('Thu'),
  msg('Fri'),
  msg('Sat'),
  msg('Sun'),
] as const;

/** The short name of a weekday. @example weekdayText(0) //=> "Mon" */
export const weekdayText = (weekday: number): Message => WEEKDAYS[weekday] ?? only('');

/** @example weekdaysText([0, 3]) //=> "Mon, Thu" */
export const weekdaysText = (weekdays: readonly number[]): Message => list(weekdays.map(weekdayText), ', ');

/** The weekdays for a choice, Monday first. */
export const WEEKDAY_LABELS: readonly Message[] = WEEKDAYS;

/** The order of dated things. @example [{ day: '2026-05-09' }, { day: '2026-05-02' }].sort(byDay) //=> the second of May first */
export const byDay = (a: { day: string }, b: { day: string }): number => a.day.localeCompare(b.day);
