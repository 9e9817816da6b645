import { type Day, isoOf } from '#core/course/days';

/** Noon of a day of the calendar, for what formats dates. */
export const noonOf = (day: Day): Date => new Date(`${isoOf(day)}T12:00:00`);
