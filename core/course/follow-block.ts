import { type Day, dayOf } from '../quantity/days';
import { type Block, onDays } from './block';
import type { BlockPlan } from './block-plan';
import type { OnDay } from './on-day';
import { constraintsOf, takenBy } from './place-block';
import { allowedDays } from './place-sessions';

/** A session of a block as it is today: done (perhaps on another day), missed, or to come (perhaps to make one up). */
export type BlockEntry = OnDay &
  ({ state: 'done'; doneOn: Day } | { state: 'missed' } | { state: 'to-come'; makesUp: boolean });

/** So many days away a session still counts for a missed one: the week it belongs to. */
const NEAR_DAYS = 6;

/**
 * A block as it is: what was is kept as it was; a session done on another day fills the nearest missed one of its plan;
 * what was missed in the week that runs is made up in it where that fits (rule PRO-3). Pure, so that every device sees the
 * same without a new plan.
 * @param done sessions that were finished, with their days
 */
export function followBlock(
  block: Block,
  plans: readonly BlockPlan[],
  done: readonly OnDay[],
  today: Day,
): BlockEntry[] {
  const startDay = dayOf(block.wish.startsOn);
  const since = done.filter(({ day }) => day >= startDay);
  const entries = withDone(onDays(block), since).map(({ doneOn, ...session }): BlockEntry => {
    if (doneOn !== null) return { ...session, state: 'done', doneOn };
    return session.day < today
      ? { ...session, state: 'missed' }
      : { ...session, state: 'to-come', makesUp: false };
  });
  const madeUp = block.wish.lines.flatMap((line) => makeUp(block, line.coursePlanId, plans, entries, today));
  return [...entries, ...madeUp].sort((a, b) => a.day - b.day);
}

type Filled = OnDay & { doneOn: Day | null };

/** Which session of the block each session done stands for: that of its day, else the nearest one that is open. */
function withDone(sessions: readonly OnDay[], done: readonly OnDay[]): Filled[] {
  const filled: Filled[] = sessions.map((session) => ({ ...session, doneOn: null }));
  const left = [...done].sort((a, b) => a.day - b.day);
  const take = (fits: (session: Filled, one: OnDay) => boolean) => {
    for (const one of [...left]) {
      const [nearest] = filled
        .filter(
          (session) =>
            session.doneOn === null && session.coursePlanId === one.coursePlanId && fits(session, one),
        )
        .sort((a, b) => Math.abs(a.day - one.day) - Math.abs(b.day - one.day) || a.day - b.day);
      if (!nearest) continue;
      nearest.doneOn = one.day;
      left.splice(left.indexOf(one), 1);
    }
  };
  take((session, one) => session.day === one.day);
  // Late before early: a session done on a free day makes up for what was missed.
  take((session, one) => session.day < one.day && one.day - session.day <= NEAR_DAYS);
  take((session, one) => session.day > one.day && session.day - one.day <= NEAR_DAYS);
  return filled;
}

/** Days of the running week on which what was missed in it is made up. */
function makeUp(
  block: Block,
  coursePlanId: string,
  plans: readonly BlockPlan[],
  entries: readonly BlockEntry[],
  today: Day,
): BlockEntry[] {
  const plan = plans.find(({ id }) => id === coursePlanId);
  const line = block.wish.lines.find((one) => one.coursePlanId === coursePlanId);
  if (!plan || !line || plan.kinds.length === 0) return [];
  const startDay = weekStart(block, today);
  const own = entries.filter((entry) => entry.coursePlanId === coursePlanId);
  const inWeek = own.filter(({ day }) => day >= startDay && day < startDay + 7);
  const missed = inWeek.filter(({ state }) => state === 'missed').length;
  if (missed === 0) return [];
  const busy = entries.flatMap((entry) =>
    entry.state === 'missed' ? [] : [{ ...entry, day: entry.state === 'done' ? entry.doneOn : entry.day }],
  );
  const fixed = busy.filter((entry) => entry.coursePlanId === coursePlanId).map(({ day }) => day);
  const open = allowedDays({ ...constraintsOf(block.wish, line), fromDay: today }, startDay);
  // As soon as it goes, and never beside a session of the same limbs, its own included: those stay where they are.
  const taken = [...takenBy(plan, plans, busy), ...fixed];
  const days: Day[] = [];
  for (const day of open) {
    const isNear = [...taken, ...days].some((other) => Math.abs(other - day) <= 1);
    if (!isNear && days.length < missed) days.push(day);
  }
  return days.map((day) => ({ day, coursePlanId, state: 'to-come', makesUp: true }));
}

/** The first day of the week of the block that runs. */
const weekStart = ({ wish }: Block, today: Day): Day => {
  const from = dayOf(wish.startsOn);
  return from + 7 * Math.floor((today - from) / 7);
};

/** What a block says of a plan's next day; null where it says nothing. */
export type NextInBlock = { day: Day; makesUp: boolean } | null;

/** The next session of a plan that is to come. */
export function nextInBlock(entries: readonly BlockEntry[], coursePlanId: string): NextInBlock {
  const next = entries.find((entry) => entry.coursePlanId === coursePlanId && entry.state === 'to-come');
  return next?.state === 'to-come' ? { day: next.day, makesUp: next.makesUp } : null;
}
