import { byDay, type Day, dayOf } from '../quantity/days';
import { type Block, onDays, scheduledOn } from './block';
import type { BlockPlan } from './block-plan';
import { placeBlock } from './place-block';
import type { Unmet } from './place-sessions';
import { daysOf, type Rescheduled, rescheduled, type SeasonDay } from './season';

/**
 * A kept block with days of a calendar added, as of a team: one with the same id takes the place of the one before it. What was is
 * kept as it was, and the rest is placed again (rule CRS-5).
 * @returns the block, the sessions that moved with why, and what finds no day; null where none of the days lies in the block
 */
export function withSeason(
  block: Block,
  added: readonly SeasonDay[],
  plans: readonly BlockPlan[],
  today: Day,
): { block: Block; moved: Rescheduled[]; unmet: Unmet[] } | null {
  const startDay = dayOf(block.wish.startsOn);
  const endDay = startDay + 7 * block.wish.weeks;
  const within = added.filter((one) => daysOf(one).some((day) => day >= startDay && day <= endDay));
  if (within.length === 0) return null;
  const season = [
    ...block.wish.season.filter(({ id }) => !added.some((one) => one.id === id)),
    ...within,
  ].sort(byDay);
  const wish = { ...block.wish, season };
  const before = onDays(block);
  const { sessions, unmet } = placeBlock(wish, plans, { fromDay: Math.max(today, startDay), before });
  return {
    block: { wish, sessions: scheduledOn(sessions) },
    moved: rescheduled(before, sessions, season),
    unmet,
  };
}
