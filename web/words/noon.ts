import { format } from 'date-fns';
import { type Day, dayOf, isoOf } from '#core/quantity';
import { day } from './format';

/** Noon of a day of the calendar, for what formats dates. */
export const noonOf = (day: Day): Date => new Date(`${isoOf(day)}T12:00:00`);

/** "24 Nov 2026" of an ISO day; nothing of none. */
export const isoWords = (iso: string): string => (iso === '' ? '' : day(noonOf(dayOf(iso)).getTime()));

/** The ISO day of a moment, where this device is. */
export const isoDay = (atMs: number): string => format(atMs, 'yyyy-MM-dd');

/** A moment of a day: the one that is known of it, or its noon. @param iso the day */
export const momentOn = (iso: string, knownMs: number): number =>
  iso === isoDay(knownMs) ? Math.round(knownMs) : noonOf(dayOf(iso)).getTime();
