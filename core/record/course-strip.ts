import type { BlockPlan } from '../course/block-plan';
import { type Message, mass, msg, type Text } from '../message/message';
import { levelInWeeks, rampLevel, weekOf } from '../pressure/ramp';
import type { LadderRung } from '../protocol/exercise';
import { type Day, dayAt, dayOf } from '../quantity/days';
import { LIMB_LABELS, LIMBS, type Limb } from '../quantity/limb';
import { MS_PER_MINUTE } from '../quantity/units';
import { blockAsItStands } from './block-in-force';
import { type CourseDay, courseDays } from './course-days';
import type { ClientFacts, KitInUse } from './facts';
import { holdsInForce } from './in-force';
import { rungHistory } from './ladder-in-force';
import { sessionsDone } from './sessions-done';

/** A session on its day: its height is %LOP, its width minutes occluded, so its area is its dose. */
export type CourseBar = {
  day: Day;
  name: Text;
  /** Null where no LOP is known. */
  percentLop: number | null;
  minutes: number;
} & ({ state: 'done'; sessionId: string } | { state: 'to-come' } | { state: 'missed' });

/** The weeks of a person as one picture: what was done, missed and is to come, heavy days, the ramp, holds, and tests. */
export type CourseStrip = {
  fromDay: Day;
  /** The last day shown. */
  toDay: Day;
  today: Day;
  bars: CourseBar[];
  heavyDays: Day[];
  /** The ramp's ceiling from a day on, for the plan of the block that is ramped. */
  ceiling: { fromDay: Day; percentLop: number }[];
  holds: { fromDay: Day; words: Text }[];
  tests: { day: Day; words: Message }[];
  /** Of each limb on a ladder, the rung it was on from a day on (rule PRO-5). */
  ladders: { limb: Limb; steps: { fromDay: Day; rung: LadderRung }[] }[];
};

const BEFORE_DAYS = 56;
const LEAST_BEFORE_DAYS = 21;
const AFTER_DAYS = 27;

/** The course of a person around now: the block that runs, and what was done in the eight weeks before today (RUN-5). */
export function courseStrip(facts: ClientFacts, kit: KitInUse, nowMs: number): CourseStrip {
  const day = (atMs: number) => dayAt(atMs, facts.zoneOffsetMs);
  const standing = blockAsItStands(facts, nowMs);
  const today = day(nowMs);
  const blockFrom = standing ? dayOf(standing.block.wish.startsOn) : today;
  const blockTo = standing ? blockFrom + 7 * standing.block.wish.weeks - 1 : today;
  const firstDone = Math.min(today, ...facts.sessions.map(({ startedAtMs }) => day(startedAtMs)));
  const begun = Math.min(firstDone - 7, today - LEAST_BEFORE_DAYS);
  const fromDay = Math.min(
    Math.max(begun, today - BEFORE_DAYS),
    Math.max(blockFrom, today - 2 * BEFORE_DAYS),
  );
  const toDay = Math.max(today + AFTER_DAYS, Math.min(blockTo, today + 2 * BEFORE_DAYS));
  const isShown = (one: { day: Day }) => one.day >= fromDay && one.day <= toDay;
  const days = standing ? courseDays(standing, facts, kit, nowMs) : [];
  const planned = days.flatMap((one): CourseBar[] => {
    const plan = standing?.plans.find(({ id }) => id === one.coursePlanId);
    if (one.state === 'done' || !plan) return [];
    return [
      {
        day: one.day,
        name: plan.name,
        state: one.state,
        percentLop: shareOf(one),
        minutes: one.occludedMs / MS_PER_MINUTE,
      },
    ];
  });
  const nameOf = (coursePlanId: string) =>
    facts.coursePlans.find(({ id }) => id === coursePlanId)?.name ?? msg('A plan that has ended');
  const done = facts.sessions.flatMap((session): CourseBar[] => {
    if (session.finishedAtMs === null || session.worked.length === 0) return [];
    const shares = session.given.flatMap(({ percentLop }) => (percentLop === null ? [] : [percentLop]));
    return [
      {
        day: day(session.startedAtMs),
        name: nameOf(session.coursePlanId),
        state: 'done',
        sessionId: session.id,
        percentLop: shares.length === 0 ? null : Math.max(...shares),
        minutes: Math.max(0, ...session.given.map(({ occludedMs }) => occludedMs)) / MS_PER_MINUTE,
      },
    ];
  });
  const ramped = standing?.plans.find(({ kinds }) => kinds.length > 0);
  return {
    fromDay,
    toDay,
    today,
    bars: [...done, ...planned].filter(isShown).sort((a, b) => a.day - b.day),
    heavyDays: [...new Set(facts.heavyWork.map(({ atMs }) => day(atMs)))].filter(
      (on) => on >= fromDay && on <= toDay,
    ),
    ceiling: ramped ? ceilingOf(ramped, facts, today, toDay) : [],
    holds: holdsInForce(facts, nowMs).map(({ atMs, words }) => ({
      fromDay: Math.max(fromDay, day(atMs)),
      words,
    })),
    ladders: LIMBS.flatMap((limb) => {
      const steps = rungHistory(facts, limb).map(({ atMs, rung }) => ({ fromDay: day(atMs), rung }));
      // What it was on when the strip begins stands at its edge; of several on one day the last counts.
      const shown = steps
        .map((step, place) => ({ ...step, toDay: (steps[place + 1]?.fromDay ?? toDay + 1) - 1 }))
        .filter((step) => step.toDay >= Math.max(fromDay, step.fromDay))
        .map(({ rung, ...step }) => ({ fromDay: Math.max(fromDay, step.fromDay), rung }));
      return shown.length > 0 ? [{ limb, steps: shown }] : [];
    }),
    tests: [
      ...facts.occlusions.map(({ atMs, limb, pressure }) => ({
        day: day(atMs),
        words: msg('{limb}: {pressure} mmHg', { limb: LIMB_LABELS[limb], pressure: pressure.value }),
      })),
      ...facts.strengthTests.map(({ atMs, oneRepMax }) => ({
        day: day(atMs),
        words: msg('1RM {oneRepMax}', { oneRepMax: mass(oneRepMax.value) }),
      })),
    ].filter(isShown),
  };
}

/** The most that any limb of it has, in %LOP; null where no LOP is known. */
function shareOf({ figures }: Pick<CourseDay, 'figures'>): number | null {
  const shares = (figures ?? []).flatMap(({ limbs }) =>
    limbs.flatMap(({ figure, value }) => (figure === 'percent-lop' && value !== null ? [value] : [])),
  );
  return shares.length === 0 ? null : Math.max(...shares);
}

/** The newcomer's ramp from this week on, if every week is trained; nothing once it is over (rule PRS-4). */
function ceilingOf(
  { kinds: [kind], plan: { schoolId } }: BlockPlan,
  facts: ClientFacts,
  today: Day,
  toDay: Day,
): CourseStrip['ceiling'] {
  if (!kind) return [];
  const ramp = rampLevel(sessionsDone(facts), kind, schoolId, today);
  if (!ramp.running) return [];
  const thisWeek = ramp.fromDay + 7 * weekOf(today, ramp.fromDay);
  return Array.from({ length: Math.ceil((toDay + 1 - thisWeek) / 7) }, (_, ahead) => ({
    fromDay: thisWeek + 7 * ahead,
    percentLop: levelInWeeks(ramp.percentLop, ahead, kind, schoolId),
  }));
}
