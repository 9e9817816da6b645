import type { Occasion } from '../course/course-plan';
import { type Message, msg } from '../message/message';
import { measuredWith } from '../occlusion-pressure/in-force';
import { dueAtMs } from '../occlusion-pressure/shelf-life';
import { measuredLimbs } from '../plan/target';
import { type Day, dayAt, weekdayOf } from '../quantity/days';
import { LIMB_NAMES, POSITION_NAMES, SIDE_NAMES } from '../quantity/limb';
import { newest } from '../quantity/newest';
import { MS_PER_DAY } from '../quantity/units';
import { RULES } from '../rules/catalogue';
import { consentEndsMs } from '../screening/consent';
import { type BlockStanding, blockAsItStands } from './block-in-force';
import { sessionToAskAbout } from './day-after';
import { type ClientFacts, exerciseLabel } from './facts';
import { pressureInForce, shelfLifeInForce } from './in-force';
import { type PlanInForce, plansInForce } from './plans-in-force';
import { testsDueLine } from './tests-due';

/** Something of a person that has to be seen to; `inDays` is below 0 where it is late. */
export type Need = { inDays: number; words: Message };

/** A person who needs something this week: needs, the most urgent first, and how the last four weeks went. */
export type PersonsWeek = {
  needs: Need[];
  /** For how many days a person with a plan has not come, or has not begun; null where they come, or have no plan. */
  awayDays: number | null;
  adherence: Adherence | null;
  /** Sessions of the block in the seven days from today on: day and time of day. */
  coming: { inDays: number; atTime: string }[];
};

/** Sessions that were to be done in the last four weeks, and those that were; null where no day is planned (rule OUT-6). */
export type Adherence = { done: number; planned: number };

/** Who was not here for so long is asked after; who was not for far longer has stopped coming. */
const AWAY_DAYS = 10;
const STOPPED_DAYS = 60;
const AHEAD_DAYS = 7;
const BACK_DAYS = 28;

/**
 * What a person asks of the practice in the week to come, and how far their plans were kept to. Who has stopped coming asks for one thing: to
 * be asked after, for as long as a plan of theirs is in force.
 */
export function personsWeek(facts: ClientFacts, nowMs: number): PersonsWeek {
  const plans = plansInForce(facts, nowMs);
  const last = newest(facts.sessions.map(({ startedAtMs }) => ({ atMs: startedAtMs })));
  const since = last ?? newest(plans.map(({ prescription }) => ({ atMs: prescription.atMs })));
  const days = since ? Math.floor((nowMs - since.atMs) / MS_PER_DAY) : 0;
  const awayDays = plans.length > 0 && days >= AWAY_DAYS ? days : null;
  const hasStopped = !last || days >= STOPPED_DAYS;
  // Who has stopped coming without a plan is asked after no more.
  const isAskedAfter = awayDays !== null || (!hasStopped && days >= AWAY_DAYS);
  const awayWords = last
    ? msg('Not here for {awayDays} days.', { awayDays: days })
    : msg('Signed {awayDays} days ago, and not begun.', { awayDays: days });
  const away: Need[] = isAskedAfter ? [{ inDays: -days, words: awayWords }] : [];
  const standing = blockAsItStands(facts, nowMs);
  const adherence = adherenceOf(facts, standing, plans, nowMs);
  if (hasStopped) return { needs: away, awayDays, adherence, coming: [] };
  const ask = sessionToAskAbout(facts, nowMs);
  const measure = testsDueLine(facts, nowMs);
  const needs = [
    ...away,
    ...(ask ? [{ inDays: 0, words: msg('Ask how the last session was.') }] : []),
    ...(measure ? [{ inDays: 0, words: measure }] : []),
    ...[
      ...pressuresDue(facts, plans, nowMs),
      ...testsDue(facts, plans),
      ...screeningDue(facts),
      ...consentDue(facts, nowMs),
    ]
      .map(({ dueMs, what }) => ({ inDays: Math.ceil((dueMs - nowMs) / MS_PER_DAY), what }))
      .filter(({ inDays }) => inDays <= AHEAD_DAYS)
      .map(({ inDays, what }) => ({ inDays, words: msg('{what}: {due}.', { what, due: dueWords(inDays) }) })),
  ];
  return {
    needs: needs.sort((a, b) => a.inDays - b.inDays),
    awayDays,
    adherence,
    coming: standing ? comingInBlock(standing) : [],
  };
}

type Due = { dueMs: number; what: Message };

/** @example dueWords(-2) //=> 'overdue by 2 days' */
const dueWords = (inDays: number): Message => {
  if (inDays === 0) return msg('due today');
  return inDays < 0
    ? msg('overdue by {days, plural, one {# day} other {# days}}', { days: -inDays })
    : msg('due in {days, plural, one {# day} other {# days}}', { days: inDays });
};

/** A consent that runs out, or was never asked for; one that was withdrawn waits for the person (rule SCR-6). */
function consentDue({ consents }: ClientFacts, nowMs: number): Due[] {
  const last = newest(consents);
  if (last?.decision === 'withdrawn') return [];
  return [{ dueMs: last ? consentEndsMs(last) : nowMs, what: msg('Consent') }];
}

/** LOPs that the plans go by; one that is measured for every session anyway is nothing to plan for (rule LOP-6). */
function pressuresDue(facts: ClientFacts, plans: readonly PlanInForce[], nowMs: number): Due[] {
  const used = new Map<string, Due>();
  for (const { prescription } of plans) {
    for (const exercise of prescription.plan.exercises) {
      for (const { limb } of measuredLimbs(exercise)) {
        const fact = pressureInForce(facts, limb, exercise.position);
        const shelfLife = shelfLifeInForce(facts, limb, nowMs);
        if (!fact || shelfLife === 'every-session') continue;
        const what = msg('LOP, {limb}, {position}', {
          limb: LIMB_NAMES[limb],
          position: POSITION_NAMES[fact.position],
        });
        used.set(fact.id, { dueMs: dueAtMs(measuredWith(fact), shelfLife), what });
      }
    }
  }
  return [...used.values()];
}

/** 1RMs that the plans go by (rule LOAD-2). */
function testsDue(facts: ClientFacts, plans: readonly PlanInForce[]): Due[] {
  const used = new Set(
    plans.flatMap(({ prescription }) =>
      prescription.plan.exercises.flatMap(({ load }) => (load.kind === 'weighed' ? [load.testId] : [])),
    ),
  );
  return facts.strengthTests
    .filter(({ id }) => used.has(id))
    .map(({ atMs, exerciseId, side }) => ({
      dueMs: atMs + RULES['LOAD-2'].figures.shelfLifeDays * MS_PER_DAY,
      what: msg('1RM, {exercise}, {side}', {
        exercise: exerciseLabel(facts, exerciseId),
        side: SIDE_NAMES[side],
      }),
    }));
}

function screeningDue({ screenings }: ClientFacts): Due[] {
  const screening = newest(screenings);
  const { shelfLifeDays } = RULES['SCR-1'].figures;
  return screening ? [{ dueMs: screening.atMs + shelfLifeDays * MS_PER_DAY, what: msg('Screening') }] : [];
}

/** By the block where one runs, else by the days that the plans in force are for. */
function adherenceOf(
  facts: ClientFacts,
  standing: BlockStanding | null,
  plans: readonly PlanInForce[],
  nowMs: number,
): Adherence | null {
  if (standing) {
    const back = standing.entries.filter(
      ({ day, state }) => state !== 'to-come' && day > standing.today - BACK_DAYS && day <= standing.today,
    );
    const done = back.filter(({ state }) => state === 'done').length;
    return back.length === 0 ? null : { done, planned: back.length };
  }
  const today = dayAt(nowMs, facts.zoneOffsetMs);
  const each = plans.map(({ coursePlan }) => {
    const days = facts.sessions
      .filter(({ coursePlanId }) => coursePlanId === coursePlan.id)
      .map(({ startedAtMs }) => dayAt(startedAtMs, facts.zoneOffsetMs));
    const signed = facts.prescriptions
      .filter(({ coursePlanId }) => coursePlanId === coursePlan.id)
      .map(({ atMs }) => dayAt(atMs, facts.zoneOffsetMs));
    const first = Math.max(today - BACK_DAYS + 1, Math.min(...signed));
    // Today is not over.
    const planned = plannedOn(coursePlan.occasion, first, today - 1);
    return { planned, done: Math.min(planned, days.filter((day) => day >= first && day < today).length) };
  });
  const planned = each.reduce((sum, one) => sum + one.planned, 0);
  return planned === 0 ? null : { planned, done: each.reduce((sum, { done }) => sum + done, 0) };
}

/** How many sessions a plan is for on the days from one to another. */
function plannedOn(occasion: Occasion, from: Day, to: Day): number {
  const days = Array.from({ length: Math.max(0, to - from + 1) }, (_, place) => from + place);
  if (occasion.kind === 'daily') return occasion.times * days.length;
  if (occasion.kind !== 'weekdays') return 0;
  return days.filter((day) => occasion.weekdays.includes(weekdayOf(day))).length;
}

const comingInBlock = ({ entries, today, block }: BlockStanding): PersonsWeek['coming'] =>
  entries
    .filter(({ day, state }) => state === 'to-come' && day < today + AHEAD_DAYS)
    .map(({ day }) => ({ inDays: day - today, atTime: block.wish.atTime }));

/** How many sessions each hour of the coming days has. @example ['17:30', '17:45'] on one day //=> { inDays, hour: 17, sessions: 2 } */
export function loadByHour(
  coming: readonly PersonsWeek['coming'][number][],
): { inDays: number; hour: number; sessions: number }[] {
  const load = new Map<string, { inDays: number; hour: number; sessions: number }>();
  for (const { inDays, atTime } of coming) {
    const hour = Number(atTime.slice(0, 2));
    const known = load.get(`${inDays} ${hour}`) ?? { inDays, hour, sessions: 0 };
    load.set(`${inDays} ${hour}`, { ...known, sessions: known.sessions + 1 });
  }
  return [...load.values()].sort((a, b) => a.inDays - b.inDays || a.hour - b.hour);
}
