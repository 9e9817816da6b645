import { byDay } from '../quantity/days';
import type { Scheduled } from './block';

/**
 * The sessions of a block that is kept again, each with an id of its own: one that stays keeps its id; of those that were moved the
 * next of the same plan keeps it too, and is counted as moved; what is new gets a new one. So a calendar that has a session finds it
 * again, and one that is missed or taken away moves no other.
 * @param before of the block it takes the place of
 */
export function withSessionIds(
  sessions: readonly Scheduled[],
  before: readonly Scheduled[],
  newId: () => string,
): Scheduled[] {
  const left = [...before];
  const take = (fits: (old: Scheduled) => boolean): Scheduled | undefined => {
    const at = left.findIndex(fits);
    return at < 0 ? undefined : left.splice(at, 1)[0];
  };
  const inOrder = [...sessions].sort(byDay);
  const stayed = inOrder.map((one) => ({
    one,
    old: take((old) => old.day === one.day && old.coursePlanId === one.coursePlanId),
  }));
  return stayed.map(({ one: { day, coursePlanId }, old }): Scheduled => {
    if (old) return { day, coursePlanId, id: old.id ?? newId(), sequence: old.sequence ?? 0 };
    const moved = take((other) => other.coursePlanId === coursePlanId);
    return moved
      ? { day, coursePlanId, id: moved.id ?? newId(), sequence: (moved.sequence ?? 0) + 1 }
      : { day, coursePlanId, id: newId(), sequence: 0 };
  });
}
