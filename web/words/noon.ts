import { type Day, dayOf, isoOf } from '#core/quantity';
import { day } from './format';

/** Noon of a day of the calendar, for what formats dates. */
export const noonOf = (day: Day): Date => new Date(`${isoOf(day)}T12:00:00`);

/** "24 Nov 2026" of an ISO day; nothing of none. */
export const isoWords = (iso: string): string => (iso === '' ? '' : day(noonOf(dayOf(iso)).getTime()));
