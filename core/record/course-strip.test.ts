import { describe, expect, it } from 'vitest';
import { englishOf } from '#language/english-of.fixture';
import { inEnglish } from '#language/render';
import { testOcclusion, testPlan, testStrength } from '../plan/plan.fixture';
import { isoOf } from '../quantity/days';
import { courseStrip } from './course-strip';
import type { BlockFact, ClientFacts } from './facts';
import {
  daysAgo,
  NOW_MS,
  strangerFacts,
  testCoursePlan,
  testFacts,
  testKitInUse,
  testPrescription,
  testSessionFact,
} from './record.fixture';

const today = Math.floor(NOW_MS / 86_400_000);
/** Begun a week ago, two sessions a week: three and seven days ago missed or done, three and seven ahead. */
const block: BlockFact = {
  id: 'block',
  atMs: daysAgo(7),
  wish: {
    startsOn: isoOf(today - 7),
    weeks: 4,
    lines: [
      {
        coursePlanId: 'lower',
        perWeek: 2,
        timesADay: 1,
        available: [0, 1, 2, 3, 4, 5, 6],
        onHeavyDays: 'apart',
      },
    ],
    heavy: [],
    deload: null,
    season: [],
    atTime: '17:30',
  },
  sessions: [-7, -3, 3, 7].map((day) => ({ day: isoOf(today + day), coursePlanId: 'lower' })),
};
const strip = (changes: Partial<ClientFacts> = {}) =>
  courseStrip(testFacts({ blocks: [block], ...changes }), testKitInUse, NOW_MS);

describe('the course of a person as one picture', () => {
  it('has each session on its day: done with what it gave, missed, and to come with what is meant', () => {
    const prescriptions = [testPrescription({ atMs: daysAgo(20) })];
    const { bars, fromDay, toDay } = strip({ sessions: [testSessionFact(7)], prescriptions });
    expect(englishOf(bars.map((bar) => [bar.day - today, bar.state, bar.name, bar.percentLop]))).toEqual([
      [-7, 'done', 'Lower day', 58.6],
      // The first week is at 40; a week after the first session the ramp is at 45, and at 50 a week on (PRS-4).
      [-3, 'missed', 'Lower day', 40],
      [3, 'to-come', 'Lower day', 45],
      [7, 'to-come', 'Lower day', 50],
    ]);
    expect(Math.round(10 * (bars[0]?.minutes ?? 0)) / 10).toBe(5.6);
    expect(bars[2]?.minutes).toBeGreaterThan(4);
    expect([today - fromDay, toDay - today]).toEqual([21, 27]);
    expect(today - strip().fromDay).toBe(43);
  });

  it('leaves out what was begun and not done, and a share that is not known', () => {
    const felt = testSessionFact(4, {
      given: [{ limb: 'left-thigh', occludedMs: 60_000, percentLop: null }],
    });
    const { bars } = strip({
      blocks: [],
      sessions: [felt, testSessionFact(2, { worked: [] }), testSessionFact(1, { finishedAtMs: null })],
    });
    expect(englishOf(bars)).toMatchObject([{ day: today - 4, percentLop: null, minutes: 1 }]);
  });

  it('shows the ramp from this week on, heavy days, tests and holds', () => {
    const heavy = {
      id: 'h',
      atMs: daysAgo(2),
      exerciseId: 'leg-press',
      side: 'both' as const,
      sets: 3,
      reps: 5,
      loadKg: 100,
      effort: null,
      pain: null,
    };
    const hold = {
      id: 'hold',
      cause: 'x',
      words: 'Numb',
      rule: 'RUN-3' as const,
      atMs: daysAgo(1),
      limb: null,
      subject: null,
      ends: { by: 'clinician' as const, notBeforeMs: 0 },
      lifted: null,
    };
    const shown = strip({
      sessions: [testSessionFact(7)],
      heavyWork: [heavy, { ...heavy, atMs: daysAgo(100) }],
      holds: [hold],
    });
    expect(shown.heavyDays).toEqual([today - 2]);
    expect(shown.ceiling.map(({ fromDay }) => fromDay - today)).toEqual([0, 7, 14, 21]);
    expect(englishOf(shown.holds)).toEqual([{ fromDay: today - 1, words: 'Numb' }]);
    expect(shown.tests.map(({ words }) => inEnglish(words)).sort()).toEqual([
      '1RM 40 kg',
      'Left thigh: 174 mmHg',
    ]);
  });

  it('is empty for a stranger', () => {
    const { bars, ceiling, tests } = courseStrip(strangerFacts, testKitInUse, NOW_MS);
    expect([bars, ceiling, tests]).toEqual([[], [], []]);
  });

  it('shows two plans, each with its own share and minutes, in order of days, within what it shows', () => {
    const arms = {
      ...testPlan().plan,
      exercises: testPlan().plan.exercises.map((exercise) => ({
        ...exercise,
        sets: exercise.sets.slice(0, 2),
      })),
    };
    const two: BlockFact = {
      ...block,
      wish: {
        ...block.wish,
        startsOn: isoOf(today - 200),
        weeks: 12,
        lines: [...block.wish.lines, { ...at(block.wish.lines), coursePlanId: 'arms' }],
      },
      sessions: [
        { day: isoOf(today - 190), coursePlanId: 'lower' },
        { day: isoOf(today - 1), coursePlanId: 'gone' },
      ],
    };
    const long = { ...two, wish: { ...two.wish, startsOn: isoOf(today - 10), weeks: 30 } };
    long.sessions = [
      { day: isoOf(today + 4), coursePlanId: 'arms' },
      { day: isoOf(today + 2), coursePlanId: 'lower' },
      { day: isoOf(today + 112), coursePlanId: 'lower' },
      { day: isoOf(today + 113), coursePlanId: 'lower' },
    ];
    const facts: Partial<ClientFacts> = {
      coursePlans: [testCoursePlan(), testCoursePlan({ id: 'arms', name: 'Arms' })],
      prescriptions: [
        testPrescription(),
        testPrescription({ id: 'rx-arms', coursePlanId: 'arms', plan: arms }),
      ],
      sessions: [testSessionFact(56), testSessionFact(57), testSessionFact(3, { coursePlanId: 'ended' })],
    };
    const old = strip({ ...facts, blocks: [two] });
    // Begun long ago: two eight weeks back are shown, and the block is over.
    expect([today - old.fromDay, old.toDay - today]).toEqual([112, 27]);
    expect(englishOf(old.bars.map(({ day, name }) => [day - today, name]))).toEqual([
      [-57, 'Lower day'],
      [-56, 'Lower day'],
      [-3, 'A plan that has ended'],
    ]);
    const { bars, toDay, fromDay } = strip({ ...facts, blocks: [long] });
    expect([today - fromDay, toDay - today]).toEqual([56, 112]);
    expect(englishOf(bars.map(({ day, name }) => [day - today, name]))).toEqual([
      [-56, 'Lower day'],
      [-3, 'A plan that has ended'],
      [2, 'Lower day'],
      [4, 'Arms'],
      [112, 'Lower day'],
    ]);
    const [lower, upper] = [bars[2], bars[3]];
    // Two sets of four, with one rest instead of three: 20 s, 60 s, 30 s, 30 s against 260 s.
    expect([lower?.minutes, upper?.minutes].map((minutes) => Math.round(60 * (minutes ?? 0)))).toEqual([
      260, 140,
    ]);
  });

  it('takes the larger share of two limbs, and none where no LOP is meant', () => {
    const given = [
      { limb: 'left-thigh' as const, occludedMs: 120_000, percentLop: 42 },
      { limb: 'right-thigh' as const, occludedMs: 180_000, percentLop: 57 },
    ];
    const { bars } = strip({ blocks: [], sessions: [testSessionFact(4, { given })] });
    expect(englishOf(bars)).toMatchObject([{ percentLop: 57, minutes: 3 }]);
  });

  it('has the ceiling of the plan that is ramped, from the week that runs', () => {
    const { ceiling } = strip({ sessions: [testSessionFact(7)] });
    expect(ceiling.map(({ fromDay, percentLop }) => [fromDay - today, percentLop])).toEqual([
      [0, 45],
      [7, 50],
      [14, 55],
      [21, 60],
    ]);
    // On the last day of a week it is unchanged: weeks are counted from the first session.
    expect(strip({ sessions: [testSessionFact(6)] }).ceiling[0]?.fromDay).toBe(today - 6);
  });

  it('shows heavy days and tests of the first and the last day, once each, and none beyond', () => {
    const heavyOn = (days: number) => ({
      id: `${days}`,
      atMs: daysAgo(days),
      exerciseId: 'leg-press',
      side: 'both' as const,
      sets: 3,
      reps: 5,
      loadKg: 100,
      effort: null,
      pain: null,
    });
    const { heavyDays, tests } = strip({
      sessions: [testSessionFact(7)],
      heavyWork: [heavyOn(21), heavyOn(21.2), heavyOn(22), heavyOn(-27), heavyOn(-28)],
      occlusions: [testOcclusion({ atMs: daysAgo(21) }), testOcclusion({ atMs: daysAgo(22) })],
      strengthTests: [testStrength({ atMs: daysAgo(1) })],
    });
    expect(heavyDays.map((day) => day - today)).toEqual([-21, 27]);
    expect(englishOf(tests.map(({ day, words }) => [day - today, words]))).toEqual([
      [-21, 'Left thigh: 174 mmHg'],
      [-1, '1RM 40 kg'],
    ]);
  });
});

const at = <T>(list: readonly T[]): T => list[0] ?? expect.unreachable();
