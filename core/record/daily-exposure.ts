import { compile } from '../plan/compile';
import { doseOf } from '../plan/dose';
import type { Plan } from '../plan/plan';
import type { DailyExposure } from '../pressure/cycles';
import { dayAt } from '../quantity/days';
import type { Limb } from '../quantity/limb';
import type { ClientFacts } from './facts';

type Today = Pick<ClientFacts, 'sessions' | 'zoneOffsetMs'>;

/** How long each limb was under a cuff today, by the practice's day, in ms (rule PRS-9). */
export function underCuffTodayMs({ sessions, zoneOffsetMs }: Today, nowMs: number): Map<Limb, number> {
  const today = dayAt(nowMs, zoneOffsetMs);
  const under = new Map<Limb, number>();
  for (const { startedAtMs, given } of sessions) {
    if (dayAt(startedAtMs, zoneOffsetMs) !== today) continue;
    for (const { limb, occludedMs } of given) under.set(limb, (under.get(limb) ?? 0) + occludedMs);
  }
  return under;
}

/** What a plan with cycles adds to the day of each of its limbs; none for a plan without (rule PRS-9). */
export function dailyExposures(plan: Plan, facts: Today, nowMs: number): DailyExposure[] {
  if (!plan.exercises.some(({ mode }) => mode === 'preparation')) return [];
  const done = underCuffTodayMs(facts, nowMs);
  return doseOf(compile(plan)).limbs.map(({ limb, totalOcclusionMs }) => ({
    limb,
    doneMs: done.get(limb) ?? 0,
    plannedMs: totalOcclusionMs,
  }));
}
