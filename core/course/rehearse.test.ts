import { describe, expect, it } from 'vitest';
import type { Basis } from '../plan/basis';
import { composeSession } from '../plan/compose';
import type { Movement } from '../plan/movement';
import type { Plan } from '../plan/plan';
import { testBasis, testExercise, testSession, trainedWeeks } from '../plan/plan.fixture';
import { dayOf } from '../quantity/days';
import { MS_PER_DAY } from '../quantity/units';
import { limited } from '../screening/clearance.fixture';
import type { OnDay } from './on-day';
import { type RehearsalQuestion, rehearsalOf, rehearse, rehearseRuns } from './rehearse';

const MONDAY = dayOf('2026-05-04');
const MOVES: Movement[] = [
  { by: 'review', figure: 'percent-lop', to: 60 },
  { by: 'review', figure: 'percent-1rm', to: 40 },
];
/** Who has trained until now: the ramp is over. */
const TRAINED = trainedWeeks(12).map((one) => ({
  ...one,
  atMs: one.atMs + MONDAY * MS_PER_DAY,
  day: one.day + MONDAY,
}));
const basisOf = (changes: Partial<Basis> = {}): Basis =>
  testBasis({ nowMs: MONDAY * MS_PER_DAY, done: TRAINED, ...changes });
const planOf = (
  changes: { percentLop?: number; percentOneRepMax?: number } = {},
  movements: Movement[] = MOVES,
): Plan =>
  composeSession({ ...testSession(), exercises: [testExercise(changes, { movements })] }, testBasis()).plan;
const twiceAWeek = (weeks: number): OnDay[] =>
  Array.from({ length: weeks }, (_, week) =>
    [0, 3].map((day) => ({ day: MONDAY + 7 * week + day, coursePlanId: 'lower' })),
  ).flat();
const courseOf = (plan: Plan, basis: Basis = basisOf()) => ({
  id: 'lower',
  plan,
  record: { basis, opened: [], advices: [], trainedDays: [], deload: null, passed: [] },
});
const question = (changes: Partial<RehearsalQuestion> = {}): RehearsalQuestion => ({
  sessions: twiceAWeek(4),
  courses: [courseOf(planOf({ percentLop: 60 }))],
  seen: [],
  runs: 40,
  seed: 7,
  ...changes,
});

describe('a block run forward', () => {
  it('comes to the same however its runs are shared', () => {
    const asked = question({ sessions: twiceAWeek(2), runs: 11 });
    const shared = [rehearseRuns(asked, 0, 6), rehearseRuns(asked, 6, 11)];
    expect(rehearsalOf(asked, shared)).toEqual(rehearse(asked));
  });

  it('gives each session its likely pressure, load and minutes, the same for the same question', () => {
    const rehearsal = rehearse(question());
    expect(rehearsal.sessions.map(({ day }) => day - MONDAY)).toEqual([0, 3, 7, 10, 14, 17, 21, 24]);
    const [first] = rehearsal.sessions;
    // Nothing is behind the first: it is the plan as it is signed.
    expect(first).toMatchObject({
      percentLop: { likely: 60, low: 60, high: 60 },
      loadKg: { likely: 10, low: 10, high: 10 },
      stepsBack: 0,
    });
    expect(first?.minutes.likely).toBeGreaterThan(4);
    expect(rehearse(question())).toEqual(rehearsal);
    expect(rehearse(question({ seed: 8 })).sessions).not.toEqual(rehearsal.sessions);
  });

  it('goes down where the plan outruns the person, and says from when it falls short and steps back', () => {
    // 40 % of 1RM at 80 % of LOP: more than people in general do thirty of.
    const hard = rehearse(
      question({ courses: [courseOf(planOf({ percentOneRepMax: 40, percentLop: 80 }))] }),
    );
    expect(hard.stall?.day).toBe(MONDAY);
    expect(hard.stepBack?.day).toBe(MONDAY + 3);
    expect(hard.sessions[0]?.short).toBeGreaterThan(0.5);
    const last = hard.sessions.at(-1);
    expect(last?.loadKg?.likely ?? 99).toBeLessThan(hard.sessions[0]?.loadKg?.likely ?? 0);
    expect(last?.short).toBeLessThan(hard.sessions[0]?.short ?? 0);
  });

  it('rises where it is easy, and never past the bounds that were signed', () => {
    const light = planOf({ percentOneRepMax: 20, percentLop: 40 });
    const easy = rehearse(question({ courses: [courseOf(light)], sessions: twiceAWeek(8) }));
    expect(easy.stall).toBeNull();
    const last = easy.sessions.at(-1);
    expect(last?.percentLop?.likely).toBeGreaterThan(40);
    for (const { percentLop, loadKg } of easy.sessions) {
      expect(percentLop?.high).toBeLessThanOrEqual(60);
      expect(loadKg?.high).toBeLessThanOrEqual(16);
    }
    const capped = rehearse(
      question({
        courses: [courseOf(light, basisOf({ limits: limited({ maxPercentLop: 45 }) }))],
        sessions: twiceAWeek(8),
      }),
    );
    expect(Math.max(...capped.sessions.map(({ percentLop }) => percentLop?.high ?? 0))).toBe(45);
    const steady = rehearse(
      question({ courses: [courseOf(planOf({ percentOneRepMax: 20, percentLop: 40 }, []))] }),
    );
    expect(Math.max(...steady.sessions.map(({ percentLop }) => percentLop?.high ?? 0))).toBe(40);
  });

  it('leaves out a plan that is not there', () => {
    const gone = rehearse(question({ sessions: [{ day: MONDAY, coursePlanId: 'gone' }] }));
    expect(gone.sessions).toMatchObject([{ percentLop: null, loadKg: null, short: 0 }]);
  });
});
