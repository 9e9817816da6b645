import { describe, expect, it } from 'vitest';
import { testBasis, testPlan } from '../plan/plan.fixture';
import { EXERCISES, type Library } from '../protocol/exercises';
import { dayOf } from '../quantity/days';
import { limited } from '../screening/clearance.fixture';
import type { OnDay } from './block';
import { blockPlanOf } from './block-plan';
import { type RehearsalQuestion, rehearse } from './rehearse';

const MONDAY = dayOf('2026-05-04');
const library = EXERCISES as Library;
const planOf = (changes: Parameters<typeof testPlan>[0] = {}) =>
  blockPlanOf(
    { id: 'lower', name: 'Lower', occasion: { kind: 'any-day' }, state: 'in-force', untilMs: null },
    testPlan(changes).plan,
    library,
  );
const twiceAWeek = (weeks: number): OnDay[] =>
  Array.from({ length: weeks }, (_, week) =>
    [0, 3].map((day) => ({ day: MONDAY + 7 * week + day, coursePlanId: 'lower' })),
  ).flat();
const question = (changes: Partial<RehearsalQuestion> = {}): RehearsalQuestion => ({
  sessions: twiceAWeek(4),
  plans: [planOf()],
  basis: testBasis(),
  seen: [],
  runs: 40,
  seed: 7,
  ...changes,
});

describe('a block run forward', () => {
  it('gives each session its likely pressure, load and minutes, the same for the same question', () => {
    const rehearsal = rehearse(question());
    expect(rehearsal.sessions.map(({ day }) => day - MONDAY)).toEqual([0, 3, 7, 10, 14, 17, 21, 24]);
    const [first] = rehearsal.sessions;
    // Nothing is behind the first: it is the plan as it is signed.
    expect(first).toMatchObject({
      percentLop: { likely: 60, low: 60, high: 60 },
      loadKg: { likely: 10, low: 10, high: 10 },
    });
    expect(first?.minutes.likely).toBeGreaterThan(4);
    expect(rehearse(question())).toEqual(rehearsal);
    expect(rehearse(question({ seed: 8 })).sessions).not.toEqual(rehearsal.sessions);
  });

  it('goes down where the plan outruns the person, and says from when', () => {
    // 40 % of 1RM at 80 % of LOP: more than people in general do thirty of.
    const hard = rehearse(question({ plans: [planOf({ percentOneRepMax: 40, percentLop: 80 })] }));
    expect(hard.stall?.day).toBe(MONDAY);
    expect(hard.sessions[0]?.short).toBeGreaterThan(0.5);
    const last = hard.sessions.at(-1);
    expect(last?.loadKg?.likely ?? 99).toBeLessThan(hard.sessions[0]?.loadKg?.likely ?? 0);
    expect(last?.short).toBeLessThan(hard.sessions[0]?.short ?? 0);
  });

  it('rises where it is easy, and never past the limits of exercise', () => {
    const easy = rehearse(
      question({ plans: [planOf({ percentOneRepMax: 20, percentLop: 40 })], sessions: twiceAWeek(8) }),
    );
    expect(easy.stall).toBeNull();
    const last = easy.sessions.at(-1);
    expect(last?.percentLop?.likely).toBeGreaterThan(40);
    for (const { percentLop, loadKg } of easy.sessions) {
      expect(percentLop?.high).toBeLessThanOrEqual(80);
      expect(loadKg?.high).toBeLessThanOrEqual(16);
    }
    const capped = rehearse(
      question({
        plans: [planOf({ percentOneRepMax: 20, percentLop: 40 })],
        basis: testBasis({ limits: limited({ maxPercentLop: 45 }) }),
        sessions: twiceAWeek(8),
      }),
    );
    expect(Math.max(...capped.sessions.map(({ percentLop }) => percentLop?.high ?? 0))).toBe(45);
  });

  it('leaves out a plan that is not there', () => {
    const gone = rehearse(question({ sessions: [{ day: MONDAY, coursePlanId: 'gone' }] }));
    expect(gone.sessions).toMatchObject([{ percentLop: null, loadKg: null, short: 0 }]);
  });
});
