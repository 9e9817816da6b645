import { type Message, msg } from '../message/message';
import { compile } from '../plan/compile';
import { doseOf } from '../plan/dose';
import { setsAtShare } from '../plan/figures';
import type { PlannedExercise } from '../plan/plan';
import { levelInWeeks } from '../pressure/ramp';
import { type Day, dayOf, isoOf } from '../quantity/days';
import { RULES } from '../rules/catalogue';
import { capOn, type Limits } from '../screening/clearance';
import type { Block, OnDay } from './block';
import type { BlockPlan } from './block-plan';

/** What a block knows of the person it is for, by plan. */
export type BlockContext = {
  /** The week of the block that runs, from 0; 0 before it begins. */
  nowWeek: number;
  /** Where the ramp of each plan is now, in % of LOP. */
  levels: ReadonlyMap<string, number>;
  /** What clearances allow each limb (rule SCR-2). */
  limits: Limits;
  /** When a plan's limbs are to be measured and its exercises tested again, and every how many days from then. */
  dues: readonly { coursePlanId: string; what: 'measure' | 'test'; firstDay: Day; everyDays: number }[];
};

/** What one plan is meant to be in one week. */
export type WeekOfPlan = {
  coursePlanId: string;
  name: string;
  sessions: number;
  /** Share of LOP by the ramp. */
  percentLop: number;
  /** Share of 1RM that the rise intends; null without kilograms. */
  percentOneRepMax: number | null;
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

const MOST_PERCENT = RULES['LOAD-3'].figures.percentOneRepMax.usualHigh;

/**
 * The weeks of a block in figures: the ramp of pressure, the rise of load, the sets and minutes of each plan, less in a
 * deload, and what falls due (rules PRS-4, LOAD-2, LOP-6, PRO-3, PRO-4).
 * @param sessions those of the block, or as they are now
 */
export function weeksOf(
  { wish }: Pick<Block, 'wish'>,
  sessions: readonly OnDay[],
  plans: readonly BlockPlan[],
  context: BlockContext,
): BlockWeek[] {
  const startDay = dayOf(wish.startsOn);
  // What stays the same from week to week is worked out once.
  const scheduled = plans
    .filter(({ id }) => wish.lines.some(({ coursePlanId }) => coursePlanId === id))
    .map((plan) => ({ plan, wholeMs: doseOf(compile(plan.plan)).occludedMs }));
  return Array.from({ length: wish.weeks }, (_, week): BlockWeek => {
    const firstDay = startDay + 7 * week;
    const deload = deloadShareIn(wish, week);
    const share = deload ?? 1;
    const inWeek = sessions.filter(({ day }) => day >= firstDay && day < firstDay + 7);
    const each = scheduled.map(({ plan, wholeMs }): WeekOfPlan => {
      const count = inWeek.filter(({ coursePlanId }) => coursePlanId === plan.id).length;
      const sets = setsIn(plan, share);
      return {
        coursePlanId: plan.id,
        name: plan.name,
        sessions: count,
        percentLop: percentIn(plan, week, context),
        percentOneRepMax: loadIn(plan, week, wish.loadRisePoints),
        sets: count * sets,
        occludedMs: Math.round(count * (sets / Math.max(1, plan.sets)) * wholeMs),
      };
    });
    return {
      week,
      firstDay,
      isDeload: deload !== null,
      plans: each,
      sets: each.reduce((sum, { sets }) => sum + sets, 0),
      occludedMs: each.reduce((sum, { occludedMs }) => sum + occludedMs, 0),
      due: dueIn(
        firstDay,
        scheduled.map(({ plan }) => plan),
        context,
      ),
    };
  });
}

/** The share of the sets that is done in a week of the block, from 0; null where it is no deload (rule PRO-4). */
const deloadShareIn = ({ deload }: Pick<Block['wish'], 'deload'>, week: number): number | null =>
  deload !== null && week >= 0 && (week + 1) % deload.everyWeeks === 0 ? deload.setsPercent / 100 : null;

/** Sets of one session at a share of them: at least one of each exercise. */
const setsIn = ({ plan }: BlockPlan, share: number): number =>
  plan.exercises.reduce((sum, { sets }) => sum + setsAtShare(sets.length, 100 * share), 0);

/** The ramp's level of the week, never over the cap; passive work keeps what it was signed at. */
function percentIn({ id, plan, kinds }: BlockPlan, week: number, context: BlockContext): number {
  const [kind] = kinds;
  const signed = Math.max(
    0,
    ...plan.exercises.flatMap(({ limbs }) =>
      limbs.map((target) => (target.kind === 'measured' ? target.percentLop : 0)),
    ),
  );
  const limbs = plan.exercises.flatMap((exercise) => exercise.limbs.map(({ limb }) => limb));
  const level = kind
    ? levelInWeeks(context.levels.get(id) ?? signed, Math.max(0, week - context.nowWeek), kind, plan.schoolId)
    : signed;
  return Math.min(level, capOn(context.limits, limbs) ?? level);
}

const isWeighedOut = ({ load }: PlannedExercise): boolean => load.kind === 'weighed';

/** The share of 1RM the rise comes to, to at most the usual 40 % (rule LOAD-3). */
function loadIn({ plan }: BlockPlan, week: number, risePoints: number): number | null {
  const load = plan.exercises.find(isWeighedOut)?.load;
  if (load?.kind !== 'weighed') return null;
  return Math.min(Math.max(MOST_PERCENT, load.percentOneRepMax), load.percentOneRepMax + week * risePoints);
}

function dueIn(firstDay: Day, plans: readonly BlockPlan[], { dues }: BlockContext): Message[] {
  const falls = dues.flatMap(({ coursePlanId, what, firstDay: first, everyDays }) => {
    const name = plans.find(({ id }) => id === coursePlanId)?.name;
    const day = everyDays === 0 ? null : nextFrom(first, everyDays, firstDay);
    if (!name || day === null || day >= firstDay + 7) return [];
    return [{ coursePlanId, what, name, day }];
  });
  return falls.filter((one, at) => falls.findIndex((other) => isSameDue(one, other)) === at).map(dueText);
}

type Falls = Pick<BlockContext['dues'][number], 'coursePlanId' | 'what'> & { name: string; day: Day };

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
