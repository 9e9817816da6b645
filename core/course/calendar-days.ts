import { type Day, isoOf, weekdayOf } from '../quantity/days';

/** Something in a calendar, on the days it takes. */
export type Appointment = {
  title: string;
  fromDay: Day;
  /** The last day of it. */
  toDay: Day;
  isAllDay: boolean;
  /** How long it lasts on a day, in ms. */
  lastsMs: number;
};

/** What a calendar says about the days of a block: days that are taken, and weekdays of heavy training, each with why. */
export type CalendarDays = {
  off: { day: string; title: string }[];
  heavy: { weekday: number; title: string; times: number }[];
};

/** A working day and the way there: who is away for that long does not come in, too. */
const TAKES_THE_DAY_MS = 6 * 3_600_000;
const HEAVY =
  /heavy|strength|squat|deadlift|weightlifting|powerlifting|match\b|\bgame\b|\brace\b|competition|tournament/i;
/** A weekday is one of heavy training where it is in at least half of the weeks. */
const SHARE_OF_WEEKS = 0.5;

/**
 * What appointments say about the days of a block (rule PRO-4): nothing is taken over by itself.
 * @param weeks of the block, to tell what comes every week from what comes once
 * @example a wedding all day on 2026-05-09 //=> off: [{ day: '2026-05-09', title: 'Wedding' }]
 */
export function calendarDays(
  appointments: readonly Appointment[],
  { fromDay, weeks }: { fromDay: Day; weeks: number },
): CalendarDays {
  const lastDay = fromDay + 7 * weeks - 1;
  const off = new Map<Day, string>();
  const heavy = new Map<number, { title: string; days: Set<Day> }>();
  for (const { title, fromDay: from, toDay, isAllDay, lastsMs } of appointments) {
    const isHeavy = HEAVY.test(title);
    for (let day = Math.max(from, fromDay); day <= Math.min(toDay, lastDay); day += 1) {
      if (isHeavy) {
        const known = heavy.get(weekdayOf(day)) ?? { title, days: new Set() };
        known.days.add(day);
        heavy.set(weekdayOf(day), known);
      } else if ((isAllDay || lastsMs >= TAKES_THE_DAY_MS) && !off.has(day)) off.set(day, title);
    }
  }
  return {
    off: [...off].sort(([a], [b]) => a - b).map(([day, title]) => ({ day: isoOf(day), title })),
    heavy: [...heavy]
      .filter(([, { days }]) => days.size >= weeks * SHARE_OF_WEEKS)
      .sort(([a], [b]) => a - b)
      .map(([weekday, { title, days }]) => ({ weekday, title, times: days.size })),
  };
}
