import type { Plan } from '../plan/plan';
import { trains } from '../protocol/work-mode';
import { type Day, weekdayOf } from '../quantity/days';
import type { Occasion } from './course-plan';

/** So many days ahead are shown of what is done each day. */
const DAILY_SHOWN = 14;
/** Two a week, as even as they go. */
const TWICE_A_WEEK = [0, 3];

/**
 * Days on which a plan is likely to be done, where no block says them: by its occasion; else passive work daily and what trains
 * twice a week, from a day on.
 */
export function usualDays(
  plan: Pick<Plan, 'exercises'>,
  occasion: Occasion,
  { fromDay, weeks }: { fromDay: Day; weeks: number },
): Day[] {
  const days = Array.from({ length: 7 * weeks }, (_, ahead) => fromDay + ahead);
  if (occasion.kind === 'weekdays') return days.filter((day) => occasion.weekdays.includes(weekdayOf(day)));
  const isDaily = occasion.kind === 'daily' || !plan.exercises.some(trains);
  return isDaily
    ? days.slice(0, DAILY_SHOWN)
    : days.filter((day) => TWICE_A_WEEK.includes((day - fromDay) % 7));
}
