import { type Message, msg, type Text } from '../message/message';
import { type Day, dayOf, isoOf } from '../quantity/days';
import type { OpenedFigures } from '../review/opened';
import type { Block } from './block';
import type { BlockPlan } from './block-plan';
import type { OnDay } from './on-day';

/** A session of a block with what it was opened at, was meant to be or is to be, by the place of the exercise (rule CRS-2). */
export type MeantDay = OnDay & {
  /** Null where that is not known any more. */
  figures: readonly OpenedFigures[] | null;
  sets: number;
  occludedMs: number;
  isDeload: boolean;
};

/** When a plan's limbs are to be measured or its exercises tested again, and every how many days from then. */
export type BlockDue = { coursePlanId: string; what: 'measure' | 'test'; firstDay: Day; everyDays: number };

/** The least and the most of a figure within a week. */
export type Range = { low: number; high: number };

/** What one plan is in one week; null for figures that it does not have. */
export type WeekOfPlan = {
  coursePlanId: string;
  name: Text;
  sessions: number;
  percentLop: Range | null;
  percentOneRepMax: Range | null;
  watts: Range | null;
  minutes: Range | null;
  sets: number;
  occludedMs: number;
};

export type BlockWeek = {
  /** From 0. */
  week: number;
  firstDay: Day;
  isDeload: boolean;
  plans: WeekOfPlan[];
  /** Of all plans together. */
  sets: number;
  occludedMs: number;
  due: Message[];
};

/**
 * The weeks of a block in figures, added up from its days: each plan's share of LOP and of 1RM, its sets and minutes, and what falls
 * due (rules CRS-2, LOAD-2, LOP-6, PRO-3).
 */
export function weeksOf(
  { wish }: Pick<Block, 'wish'>,
  days: readonly MeantDay[],
  plans: readonly BlockPlan[],
  dues: readonly BlockDue[],
): BlockWeek[] {
  const startDay = dayOf(wish.startsOn);
  const scheduled = plans.filter(({ id }) => wish.lines.some(({ coursePlanId }) => coursePlanId === id));
  return Array.from({ length: wish.weeks }, (_, week): BlockWeek => {
    const firstDay = startDay + 7 * week;
    const inWeek = days.filter(({ day }) => day >= firstDay && day < firstDay + 7);
    const each = scheduled.map((plan) =>
      weekOfPlan(
        plan,
        inWeek.filter(({ coursePlanId }) => coursePlanId === plan.id),
      ),
    );
    return {
      week,
      firstDay,
      isDeload: inWeek.some(({ isDeload }) => isDeload),
      plans: each,
      sets: each.reduce((sum, { sets }) => sum + sets, 0),
      occludedMs: each.reduce((sum, { occludedMs }) => sum + occludedMs, 0),
      due: dueIn(firstDay, scheduled, dues),
    };
  });
}

function weekOfPlan({ id, name }: BlockPlan, days: readonly MeantDay[]): WeekOfPlan {
  const exercises = days.flatMap(({ figures }) => figures ?? []);
  const figure = (of: keyof OpenedFigures['figures']) =>
    rangeOf(exercises.flatMap(({ figures }) => figures[of] ?? []));
  return {
    coursePlanId: id,
    name,
    sessions: days.length,
    percentLop: rangeOf(
      exercises.flatMap(({ limbs }) =>
        limbs.flatMap((limb) => (limb.figure === 'percent-lop' ? (limb.value ?? []) : [])),
      ),
    ),
    percentOneRepMax: figure('percent-1rm'),
    watts: figure('watts'),
    minutes: figure('minutes'),
    sets: days.reduce((sum, { sets }) => sum + sets, 0),
    occludedMs: days.reduce((sum, { occludedMs }) => sum + occludedMs, 0),
  };
}

const rangeOf = (values: readonly number[]): Range | null =>
  values.length === 0 ? null : { low: Math.min(...values), high: Math.max(...values) };

function dueIn(firstDay: Day, plans: readonly BlockPlan[], dues: readonly BlockDue[]): Message[] {
  const falls = dues.flatMap(({ coursePlanId, what, firstDay: first, everyDays }) => {
    const name = plans.find(({ id }) => id === coursePlanId)?.name;
    const day = everyDays === 0 ? null : nextFrom(first, everyDays, firstDay);
    if (!name || day === null || day >= firstDay + 7) return [];
    return [{ coursePlanId, what, name, day }];
  });
  return falls.filter((one, at) => falls.findIndex((other) => isSameDue(one, other)) === at).map(dueText);
}

type Falls = Pick<BlockDue, 'coursePlanId' | 'what'> & { name: Text; day: Day };

const isSameDue = (a: Falls, b: Falls): boolean =>
  a.coursePlanId === b.coursePlanId && a.what === b.what && a.day === b.day;

function dueText({ name, what, day }: Falls): Message {
  const values = { name, day: { isoDay: isoOf(day) } };
  return what === 'measure'
    ? msg('{name}: measure again (LOP-6), {day}', values)
    : msg('{name}: test the 1RM again (LOAD-2), {day}', values);
}

/** The first of a row of days that is not before another. */
const nextFrom = (first: Day, everyDays: number, fromDay: Day): Day =>
  first >= fromDay ? first : first + everyDays * Math.ceil((fromDay - first) / everyDays);
