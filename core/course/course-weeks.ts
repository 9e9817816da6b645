import type { Deload } from '../plan/movement';
import { weekOf } from '../pressure/ramp';
import type { Day } from '../quantity/days';
import { RULES } from '../rules/catalogue';

const { shortDays } = RULES['PRS-4'].figures.layOff;

/**
 * From when the weeks of a course are counted: the first day it was trained since the last lay-off, or the day itself where there
 * is none (rules CRS-5, PRS-4).
 * @example weeksFrom([0, 3, 40], 43) //=> 40, since 37 days lie between
 */
export function weeksFrom(trainedDays: readonly Day[], day: Day): Day {
  const days = trainedDays.filter((one) => one <= day).sort((a, b) => a - b);
  const last = days.at(-1);
  if (last === undefined || day - last >= shortDays) return day;
  const restart = days.findLastIndex((one, at) => at === 0 || one - (days[at - 1] ?? one) >= shortDays);
  return days[restart] ?? day;
}

/** Whether a day is in a deload week: every so many weeks that are trained, missed ones left out (rule CRS-5). */
export function isDeloadWeek(
  trainedDays: readonly Day[],
  { everyWeeks }: Deload,
  fromDay: Day,
  day: Day,
): boolean {
  const week = weekOf(day, fromDay);
  const before = new Set(
    trainedDays
      .filter((one) => one >= fromDay && one < day)
      .map((one) => weekOf(one, fromDay))
      .filter((one) => one < week),
  );
  return (before.size + 1) % everyWeeks === 0;
}
