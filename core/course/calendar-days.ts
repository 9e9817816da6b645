import { byDay, type Day, isoOf, weekdayOf } from '../quantity/days';
import type { SeasonDay, SeasonKind } from './season';

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

/** What a calendar says about the days of a block: dated days, and weekdays of heavy training, each with why. */
export type CalendarDays = {
  days: SeasonDay[];
  heavy: { weekday: number; title: string; times: number }[];
};

/** A working day and the way there: who is away for that long does not come in, too. */
const TAKES_THE_DAY_MS = 6 * 3_600_000;
const GAME = /match\b|\bgame\b|\brace\b|competition|tournament|\bcup\b|\bspiel\b|wettkampf|turnier/i;
const HEAVY = /heavy|strength|squat|deadlift|weightlifting|powerlifting|krafttraining/i;
const JOURNEY = /travel|flight|journey|\btrip\b|\baway\b|reise|flug/i;
/** A weekday is one of heavy training where it is in at least half of the weeks. */
const SHARE_OF_WEEKS = 0.5;

/**
 * What appointments say about the days of a block (rules PRO-4, CRS-5): games, journeys, days that are taken, and heavy training by
 * its weekday where it comes every week or by its date where it does not. Nothing is taken over by itself.
 * @param weeks of the block, to tell what comes every week from what comes once
 * @example a wedding all day on 2026-05-09 //=> days: [{ kind: 'off', day: '2026-05-09', title: 'Wedding' }]
 */
export function calendarDays(
  appointments: readonly Appointment[],
  { fromDay, weeks }: { fromDay: Day; weeks: number },
): CalendarDays {
  const lastDay = fromDay + 7 * weeks - 1;
  const inBlock = appointments.filter(({ fromDay: from, toDay }) => toDay >= fromDay && from <= lastDay);
  const heavy = new Map<number, { title: string; days: Set<Day> }>();
  for (const one of inBlock.filter((each) => kindOf(each) === 'heavy')) {
    const known = heavy.get(weekdayOf(one.fromDay)) ?? { title: one.title, days: new Set() };
    known.days.add(one.fromDay);
    heavy.set(weekdayOf(one.fromDay), known);
  }
  const isWeekly = (weekday: number) => (heavy.get(weekday)?.days.size ?? 0) >= weeks * SHARE_OF_WEEKS;
  const days = inBlock.flatMap((one): SeasonDay[] => {
    const kind = kindOf(one);
    if (!kind || (kind === 'heavy' && isWeekly(weekdayOf(one.fromDay)))) return [];
    const [from, to] = [Math.max(one.fromDay, fromDay), Math.min(one.toDay, lastDay)];
    const day = isoOf(from);
    return [
      {
        id: `calendar ${day} ${one.title}`.slice(0, 64),
        kind,
        day,
        ...(to > from ? { toDay: isoOf(to) } : {}),
        title: one.title.slice(0, 80),
      },
    ];
  });
  return {
    days: days.filter(({ id }, place) => days.findIndex((other) => other.id === id) === place).sort(byDay),
    heavy: [...heavy]
      .filter(([weekday]) => isWeekly(weekday))
      .sort(([a], [b]) => a - b)
      .map(([weekday, one]) => ({ weekday, title: one.title, times: one.days.size })),
  };
}

/** What an appointment is for a block; null where it takes no day. */
function kindOf({ title, isAllDay, lastsMs, fromDay, toDay }: Appointment): SeasonKind | null {
  if (GAME.test(title)) return 'game';
  if (HEAVY.test(title)) return 'heavy';
  if (JOURNEY.test(title)) return 'journey';
  if (!isAllDay && lastsMs < TAKES_THE_DAY_MS) return null;
  return toDay > fromDay ? 'journey' : 'off';
}
