import { list } from '../message/message';
import { type Day, dayOf } from '../quantity/days';
import type { BlockLine, BlockWish } from './block';
import { type BlockPlan, share } from './block-plan';
import type { OnDay } from './on-day';
import { placeSessions, type Unmet } from './place-sessions';
import { heavyOn, keptFree } from './season';

/** A block that runs already: what stood before a day is kept as it was, and nothing new is placed before it. */
export type Running = { fromDay: Day; before: readonly OnDay[] };

/** Which plan falls on which day, in order, and what could not be met. */
export type BlockPlacement = { sessions: OnDay[]; unmet: Unmet[] };

/**
 * Days for every plan of a block, one plan after the other in the order of the wish: each as even as its own weekdays allow,
 * never on the day of another that moves the same limbs, and rather not on the day after (rules PRO-3, PRO-4). Passive work
 * ignores others.
 * @param running for a block that is changed while it runs
 */
export function placeBlock(
  wish: BlockWish,
  plans: readonly BlockPlan[],
  running: Running = { fromDay: dayOf(wish.startsOn), before: [] },
): BlockPlacement {
  // A block that begins again later keeps nothing of the one it follows.
  const startDay = dayOf(wish.startsOn);
  const before = running.before.filter(({ day }) => day >= startDay && day < running.fromDay);
  const sessions: OnDay[] = [...before];
  const unmet: Unmet[] = [];
  for (const line of wish.lines) {
    const plan = plans.find(({ id }) => id === line.coursePlanId);
    if (!plan) continue;
    const placed = placeSessions({
      ...constraintsOf(wish, line),
      fromDay: running.fromDay,
      done: before.filter(({ coursePlanId }) => coursePlanId === plan.id).map(({ day }) => day),
      // What need not move stays where it was.
      kept: running.before
        .filter(({ day, coursePlanId }) => coursePlanId === plan.id && day >= running.fromDay)
        .map(({ day }) => day),
      taken: takenBy(plan, plans, sessions),
      isDaily: plan.kinds.length === 0,
    });
    for (const day of placed.days.filter((one) => one >= running.fromDay)) {
      for (let time = 0; time < line.timesADay; time += 1) sessions.push({ day, coursePlanId: plan.id });
    }
    unmet.push(
      ...placed.unmet.map((one) =>
        wish.lines.length > 1 ? { ...one, message: list([plan.name, one.message], ': ') } : one,
      ),
    );
  }
  return { sessions: sessions.sort((a, b) => a.day - b.day), unmet };
}

/** Days on which the same limbs are moved by another plan. */
export const takenBy = (plan: BlockPlan, plans: readonly BlockPlan[], sessions: readonly OnDay[]): Day[] =>
  sessions
    .filter(({ coursePlanId }) =>
      plans.some((other) => other.id === coursePlanId && other.id !== plan.id && share(other, plan)),
    )
    .map(({ day }) => day);

/** What the wish asks of the placement of one plan. */
export const constraintsOf = (wish: BlockWish, line: BlockLine) => ({
  startDay: dayOf(wish.startsOn),
  weeks: wish.weeks,
  perWeek: line.perWeek,
  available: line.available,
  heavy: line.onHeavyDays === 'either' ? [] : wish.heavy,
  onHeavyDays: line.onHeavyDays === 'finisher' ? ('finisher' as const) : ('apart' as const),
  daysOff: wish.season.flatMap(keptFree),
  heavyOn: line.onHeavyDays === 'either' ? [] : heavyOn(wish.season),
  fromDay: dayOf(wish.startsOn),
  done: [],
  kept: [],
});
