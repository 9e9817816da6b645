import { describe, expect, it } from 'vitest';
import { isoOf } from '../course/days';
import { courseStrip } from './course-strip';
import type { BlockFact, ClientFacts } from './facts';
import { daysAgo, NOW_MS, strangerFacts, testFacts, testSessionFact } from './record.fixture';

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
        besideHeavy: 'apart',
      },
    ],
    heavy: [],
    deload: null,
    loadRisePoints: 0,
    daysOff: [],
    atTime: '17:30',
  },
  sessions: [-7, -3, 3, 7].map((day) => ({ day: isoOf(today + day), coursePlanId: 'lower' })),
};
const strip = (changes: Partial<ClientFacts> = {}) =>
  courseStrip(testFacts({ blocks: [block], ...changes }), NOW_MS);

describe('the course of a person as one picture', () => {
  it('has each session on its day: done with what it gave, missed, and to come with what is meant', () => {
    const { bars, fromDay, toDay } = strip({ sessions: [testSessionFact(7)] });
    expect(bars.map((bar) => [bar.day - today, bar.state, bar.name, bar.percentLop])).toEqual([
      [-7, 'done', 'Lower day', 58.6],
      // A week after the first session the ramp stands at 45, and at 50 a week on (PRS-4).
      [-3, 'missed', 'Lower day', 45],
      [3, 'to-come', 'Lower day', 45],
      [7, 'to-come', 'Lower day', 50],
    ]);
    expect(Math.round(10 * (bars[0]?.minutes ?? 0)) / 10).toBe(5.6);
    expect(bars[2]?.minutes).toBeGreaterThan(4);
    expect([today - fromDay, toDay - today]).toEqual([21, 27]);
    expect(today - strip().fromDay).toBe(43);
  });

  it('leaves out what was begun and not done, and a share nobody knows', () => {
    const felt = testSessionFact(4, {
      given: [{ limb: 'left-thigh', occludedMs: 60_000, percentLop: null }],
    });
    const { bars } = strip({
      blocks: [],
      sessions: [felt, testSessionFact(2, { worked: [] }), testSessionFact(1, { finishedAtMs: null })],
    });
    expect(bars).toMatchObject([{ day: today - 4, percentLop: null, minutes: 1 }]);
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
    const shown = strip({ heavyWork: [heavy, { ...heavy, atMs: daysAgo(100) }], holds: [hold] });
    expect(shown.heavyDays).toEqual([today - 2]);
    expect(shown.ceiling.map(({ fromDay }) => fromDay - today)).toEqual([0, 7, 14]);
    expect(shown.holds).toEqual([{ fromDay: today - 1, words: 'Numb' }]);
    expect(shown.tests.map(({ words }) => words).sort()).toEqual(['1RM 40 kg', 'Left thigh: 174 mmHg']);
  });

  it('is empty for a stranger', () => {
    const { bars, ceiling, tests } = courseStrip(strangerFacts, NOW_MS);
    expect([bars, ceiling, tests]).toEqual([[], [], []]);
  });
});
