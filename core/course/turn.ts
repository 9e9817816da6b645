import { type Message, msg, only } from '../message/message';
import { type Day, isoOf, weekdayOf, weekdayText } from '../quantity/days';
import type { Occasion } from './course-plan';

/** When a plan is to be run next, in days from today; null where it is not known yet. With the reason in words. */
export type Turn = { inDays: number | null; why: Message };

/**
 * When it is a plan's turn.
 * @param doneDays days on which it was run, one for each session @param heavyDays days of heavy work
 * @example turnOf({ kind: 'weekdays', weekdays: [0, 3] }, [], [], dayOf('2026-05-05')) //=> { inDays: 2, why: 'Next on Thu.' }
 */
export function turnOf(
  occasion: Occasion,
  doneDays: readonly Day[],
  heavyDays: readonly Day[],
  today: Day,
): Turn {
  const doneToday = doneDays.filter((day) => day === today).length;
  const last = Math.max(...doneDays.filter((day) => day <= today));
  switch (occasion.kind) {
    case 'weekdays':
      return turnOfWeekdays(occasion.weekdays, doneToday > 0, today);
    case 'daily':
      return doneToday < occasion.times
        ? {
            inDays: 0,
            why:
              occasion.times === 1
                ? msg('Not yet today.')
                : msg('{doneToday} of {times} today.', { doneToday, times: occasion.times }),
          }
        : { inDays: 1, why: msg('Done for today.') };
    case 'after-heavy':
      if (doneToday > 0) return { inDays: null, why: msg('Done today.') };
      return heavyDays.includes(today)
        ? { inDays: 0, why: msg('Heavy work was done today.') }
        : { inDays: null, why: msg('None today.') };
    case 'any-day':
      if (doneToday > 0) return { inDays: 1, why: msg('Done today.') };
      return {
        inDays: 0,
        why: Number.isFinite(last)
          ? msg('{days, plural, =1 {Last done yesterday.} other {Last done # days ago.}}', {
              days: today - last,
            })
          : msg('Not begun yet.'),
      };
  }
}

function turnOfWeekdays(weekdays: readonly number[], isDoneToday: boolean, today: Day): Turn {
  const from = isDoneToday ? 1 : 0;
  const inDays =
    from + [0, 1, 2, 3, 4, 5, 6].findIndex((ahead) => weekdays.includes(weekdayOf(today + from + ahead)));
  const label = weekdayText(weekdayOf(today + inDays));
  return {
    inDays,
    why: inDays === 0 ? msg('It is for {label}, today.', { label }) : msg('Next on {label}.', { label }),
  };
}

/**
 * When it is the turn of a plan that a block schedules.
 * @param next its next session in the block; null where none of it is to come while the block runs
 * @example turnInBlock({ day: dayOf('2026-05-07'), makesUp: false }, dayOf('2026-05-04')) //=> { inDays: 3, why: 'In the block on Thu.' }
 */
export function turnInBlock(next: { day: Day; makesUp: boolean } | null, today: Day): Turn {
  if (!next) return { inDays: null, why: msg('No more of it in the block.') };
  const { day, makesUp } = next;
  const inDays = day - today;
  if (inDays === 0)
    return { inDays, why: makesUp ? msg('A missed session, made up today.') : msg('In the block today.') };
  const on = inDays < 7 ? weekdayText(weekdayOf(day)) : only({ isoDay: isoOf(day) });
  return {
    inDays,
    why: makesUp ? msg('A missed session, made up on {on}.', { on }) : msg('In the block on {on}.', { on }),
  };
}

/** What is next first; unknown ones come last. */
export const compareTurns = (a: Turn, b: Turn): number =>
  (a.inDays ?? Number.POSITIVE_INFINITY) - (b.inDays ?? Number.POSITIVE_INFINITY) || 0;
