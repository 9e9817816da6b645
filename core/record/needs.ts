import { type Message, msg } from '../message/message';
import { measuredWith } from '../occlusion-pressure/in-force';
import { dueAtMs } from '../occlusion-pressure/shelf-life';
import { measuredLimbs } from '../plan/target';
import { LIMB_NAMES, POSITION_NAMES, SIDE_NAMES } from '../quantity/limb';
import { newest } from '../quantity/newest';
import { MS_PER_DAY } from '../quantity/units';
import { RULES } from '../rules/catalogue';
import { consentEndsMs } from '../screening/consent';
import { blockAsItStands } from './block-in-force';
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
  /** Sessions of the block that were to be done in the last four weeks, and those that were; null without a block. */
  adherence: { done: number; planned: number } | null;
  /** Sessions of the block in the seven days from today on: day and time of day. */
  coming: { inDays: number; atTime: string }[];
};

/** Who was not here for so long is asked after; who was not for far longer has stopped coming. */
const AWAY_DAYS = 10;
const STOPPED_DAYS = 60;
const AHEAD_DAYS = 7;
const BACK_DAYS = 28;

/** What a person asks of the practice in the week to come; nothing of those who have stopped coming. */
export function personsWeek(facts: ClientFacts, nowMs: number): PersonsWeek {
  const last = newest(facts.sessions.map(({ startedAtMs }) => ({ atMs: startedAtMs })));
  const awayDays = last ? Math.floor((nowMs - last.atMs) / MS_PER_DAY) : null;
  if (awayDays === null || awayDays >= STOPPED_DAYS) return { needs: [], adherence: null, coming: [] };
  const plans = plansInForce(facts, nowMs);
  const ask = sessionToAskAbout(facts, nowMs);
  const measure = testsDueLine(facts, nowMs);
  const needs = [
    ...(awayDays >= AWAY_DAYS
      ? [{ inDays: -awayDays, words: msg('Not here for {awayDays} days.', { awayDays }) }]
      : []),
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
  return { needs: needs.sort((a, b) => a.inDays - b.inDays), ...blockNow(facts, nowMs) };
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

function blockNow(facts: ClientFacts, nowMs: number): Pick<PersonsWeek, 'adherence' | 'coming'> {
  const standing = blockAsItStands(facts, nowMs);
  if (!standing) return { adherence: null, coming: [] };
  const { entries, today, block } = standing;
  const back = entries.filter(
    ({ day, state }) => state !== 'to-come' && day > today - BACK_DAYS && day <= today,
  );
  return {
    adherence:
      back.length === 0
        ? null
        : { done: back.filter(({ state }) => state === 'done').length, planned: back.length },
    coming: entries
      .filter(({ day, state }) => state === 'to-come' && day < today + AHEAD_DAYS)
      .map(({ day }) => ({ inDays: day - today, atTime: block.wish.atTime })),
  };
}

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
