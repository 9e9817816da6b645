import { describe, expect, it } from 'vitest';
import { composeSession } from '../plan/compose';
import { testBasis, testExercise } from '../plan/plan.fixture';
import { EXERCISES, type Library } from '../protocol/exercises';
import { dayOf, isoOf } from '../quantity/days';
import { foldAll, logOf, WHOLE_SESSION } from '../session/session.fixture';
import { byBlock, type KeptBlock } from './by-block';
import { MEASURES } from './measures';
import { sessionLine } from './session-line';
import { nearestValue, sumOfValues } from './sum-of-values';

const DAY_MS = 86_400_000;
const MONDAY = dayOf('2026-03-02');
const at = (day: number) => (MONDAY + day) * DAY_MS + 9 * 3_600_000;
const point = (day: number, value: number, error = 0.5) => ({ atMs: at(day), value, error });
const block = (day: number, weeks: number, changes: Partial<KeptBlock> = {}): KeptBlock => ({
  atMs: at(day - 1),
  startsOn: isoOf(MONDAY + day),
  weeks,
  plannedSessions: 2 * weeks,
  ...changes,
});
const { plan } = composeSession(
  { goal: 'size', schoolId: 'research-consensus', exercises: [testExercise()] },
  testBasis(),
);
const line = sessionLine(plan, foldAll(plan, logOf(WHOLE_SESSION)));
const session = (day: number) => ({ id: `s${day}`, startedAtMs: at(day), coursePlanId: 'p', line });

const of = (
  kept: KeptBlock[],
  days: number[],
  points: ReturnType<typeof point>[],
  today: number,
  measure = MEASURES['girth-mid-thigh'],
) =>
  byBlock(
    kept,
    days.map(session),
    { points, measure },
    {
      library: EXERCISES as Library,
      zoneOffsetMs: 0,
      today: MONDAY + today,
    },
  );

describe('blocks one by one (OUT-6), as worked by hand', () => {
  // Four weeks from day 0, eight from day 28; the second runs on day 70.
  const two = [block(0, 4), block(28, 8)];
  const points = [point(-3, 50), point(28, 52), point(60, 52.5)];

  it('each have their own sessions and change, the newest first, what runs so far', () => {
    const [second, first] = of(two, [1, 5, 27, 28, 60], points, 70);
    expect(first).toMatchObject({
      fromDay: MONDAY,
      toDay: MONDAY + 27,
      isRunning: false,
      plannedSessions: 8,
    });
    expect(first?.totals.sessions).toBe(3);
    expect(first?.verdict).toMatchObject({ kind: 'real-gain', change: 2 });
    expect(second).toMatchObject({ isRunning: true, plannedSessions: 16, before: { value: 52 } });
    expect(second?.totals.sessions).toBe(2);
    expect(second?.verdict).toMatchObject({ kind: 'probably-gain', change: 0.5 });
    // 0.5 less 2.0; the value between counts twice: √(0.25 + 4 × 0.25 + 0.25) = 1.2247.
    expect(second?.againstLast).toMatchObject({ change: -1.5, kind: 'probably-loss' });
    expect(second?.againstLast?.smallestReal).toBeCloseTo(1.96 * Math.sqrt(1.5), 4);
    expect(first?.againstLast).toBeNull();
  });

  it('end where the next begins, count as last kept, and not before they begin', () => {
    const changed = block(0, 6, { atMs: at(3), plannedSessions: 12 });
    const [only] = of([changed, block(0, 4)], [], points, 20);
    expect(only).toMatchObject({ toDay: MONDAY + 41, plannedSessions: 12 });
    expect(of([block(0, 6), block(28, 4)], [], [], 70).map(({ toDay }) => toDay - MONDAY)).toEqual([55, 27]);
    expect(of([block(5, 4)], [], points, 4)).toEqual([]);
    expect(of([block(5, 4)], [], points, 5)).toHaveLength(1);
  });

  it('say nothing without a value about the beginning and one about the end', () => {
    const ends = (...days: number[]) => {
      const [row] = of(
        [block(0, 4)],
        [],
        days.map((day) => point(day, 50)),
        60,
      );
      return [row?.before?.atMs, row?.after?.atMs].map((ms) =>
        ms === undefined ? null : (ms - at(0)) / DAY_MS,
      );
    };
    expect(ends(-14, 41)).toEqual([-14, 41]);
    expect(ends(-15, 42)).toEqual([null, null]);
    expect(ends(3, 25)).toEqual([3, 25]);
    expect(ends(4, 24)).toEqual([null, null]);
    expect(ends(-8, -1, 27, 35)).toEqual([-1, 27]);
    expect(of([block(0, 4)], [], [point(-1, 50)], 60)[0]?.verdict).toBeNull();
    // While it runs, a value of its first days is still the one before.
    expect(of([block(0, 4)], [], [point(-1, 50), point(3, 51)], 20)[0]?.after).toBeNull();
    expect(of([block(0, 4)], [], [point(-1, 50), point(4, 51)], 20)[0]?.after?.value).toBe(51);
  });

  it('turn round with the direction that is better', () => {
    const falling = [point(-3, 6), point(28, 3), point(84, 1)];
    const [second] = of(two, [], falling, 90, MEASURES['pain-on-test']);
    expect(second?.verdict).toMatchObject({ change: -2, kind: 'real-gain' });
    expect(second?.againstLast).toMatchObject({ change: 1, kind: 'probably-loss' });
  });
});

describe('a sum of values', () => {
  it('adds up changes and the squares of errors; one that is in it twice counts as once with both', () => {
    const [a, b] = [point(0, 50), point(1, 52)];
    expect(
      sumOfValues([
        [b, 1],
        [a, -1],
      ]),
    ).toEqual({ change: 2, sd: Math.hypot(0.5, 0.5) });
    expect(
      sumOfValues([
        [a, 1],
        [a, -1],
      ]),
    ).toEqual({ change: 0, sd: 0 });
    expect(sumOfValues([])).toEqual({ change: 0, sd: 0 });
  });

  it('takes the nearest value of those within a time, the first of two as near', () => {
    const points = [point(-2, 1), point(2, 2), point(9, 3)];
    const day = ({ atMs }: { atMs: number }) => (atMs - at(0)) / DAY_MS;
    const near = (about: number, fromDay: number, toDay: number) =>
      nearestValue(points, day, { about, fromDay, toDay })?.value;
    expect(near(0, -5, 5)).toBe(1);
    expect(near(1, -5, 5)).toBe(2);
    expect(near(9, -5, 8)).toBe(2);
    expect(near(0, 3, 8)).toBeUndefined();
  });
});
