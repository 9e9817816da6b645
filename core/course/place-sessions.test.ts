import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { englishOf } from '#language/english-of.fixture';
import { dayOf, weekdayOf } from '../quantity/days';
import { type Constraints, placeSessions } from './place-sessions';

// Placements worked out by hand; weekdays run from 0, Monday. 4 May 2026 is a Monday.
const MONDAY = dayOf('2026-05-04');
const EVERY_DAY = [0, 1, 2, 3, 4, 5, 6];

const place = (changes: Partial<Constraints> = {}) =>
  placeSessions({
    startDay: MONDAY,
    weeks: 1,
    perWeek: 2,
    available: EVERY_DAY,
    heavy: [],
    onHeavyDays: 'apart',
    daysOff: [],
    done: [],
    fromDay: MONDAY,
    kept: [],
    ...changes,
  });
/** Days from the first Monday. */
const offsets = (changes: Partial<Constraints>) => place(changes).days.map((day) => day - MONDAY);
const words = (changes: Partial<Constraints>) => place(changes).unmet.map(({ message }) => message);

describe('placing sessions (PRO-3, PRO-4)', () => {
  it('spreads them evenly, within a week and over its end', () => {
    expect(offsets({})).toEqual([0, 3]);
    expect(offsets({ perWeek: 3 })).toEqual([0, 2, 4]);
    // Gaps of 3 and 4 days all the way: every other placement of four in two weeks is less even.
    expect(offsets({ weeks: 2 })).toEqual([0, 3, 7, 10]);
    expect(offsets({ perWeek: 1, weeks: 3 })).toEqual([0, 7, 14]);
  });

  it('never puts four into any seven days where three a week have a way (CRS-5)', () => {
    const weekdays = fc.subarray(EVERY_DAY, { minLength: 3 });
    const fourInSeven = (days: readonly number[]) => days.filter((day, i) => day - (days[i - 3] ?? -99) < 7);
    fc.assert(
      fc.property(
        weekdays,
        fc.integer({ min: 2, max: 6 }),
        fc.integer({ min: 0, max: 6 }),
        (available, weeks, later) => {
          // Kept to the same weekdays there is a way always, whatever was done in the days before.
          const { days } = place({
            perWeek: 3,
            weeks,
            available,
            startDay: MONDAY + later,
            fromDay: MONDAY + later,
          });
          expect(fourInSeven(days)).toEqual([]);
        },
      ),
    );
    // A session done on Friday, and days off, which pull the next ones together.
    const done = { perWeek: 3, weeks: 3, done: [MONDAY, MONDAY + 2, MONDAY + 4], fromDay: MONDAY + 7 };
    const pulled = place({ ...done, daysOff: [MONDAY + 12, MONDAY + 13] });
    expect(fourInSeven(pulled.days)).toEqual([]);
  });

  it('keeps the day before heavy work free where there is another, and goes on heavy days as a finisher', () => {
    // Heavy on Tuesday: not on it, and rather not on Monday; Wednesday and Saturday lie as evenly as Monday and Thursday.
    expect(offsets({ heavy: [1] })).toEqual([2, 5]);
    // Heavy on Monday: the Sunday before it is the one to be kept free.
    expect(offsets({ heavy: [0], available: [3, 6, 5] })).toEqual([3, 5]);
    expect(offsets({ heavy: [1, 4], onHeavyDays: 'finisher' })).toEqual([1, 4]);
    // With no heavy day to finish, any day serves.
    expect(offsets({ heavy: [], onHeavyDays: 'finisher' })).toEqual([0, 3]);
    // A finisher minds no heavy day after it.
    expect(offsets({ heavy: [1, 2, 5], onHeavyDays: 'finisher' })).toEqual([1, 5]);
  });

  it('counts what is done in its own week, and plans nothing in a week that is over', () => {
    expect(offsets({ done: [MONDAY + 1] })).toEqual([1, 4]);
    expect(offsets({ done: [MONDAY + 7], weeks: 2 })).toEqual([0, 3, 7, 10]);
    expect(offsets({ done: [MONDAY - 1] })).toEqual([0, 3]);
    // Three done of two wanted: nothing more, and nothing is missing.
    const many = { done: [MONDAY, MONDAY + 2, MONDAY + 4] };
    expect(englishOf([offsets(many), words(many)])).toEqual([[0, 2, 4], []]);
    // From the second Monday on the first week is over.
    expect(offsets({ weeks: 2, fromDay: MONDAY + 7 })).toEqual([7, 10]);
    expect(words({ weeks: 2, fromDay: MONDAY + 7 })).toEqual([]);
    // On its Sunday it is not: one day is left of it.
    expect(words({ weeks: 1, fromDay: MONDAY + 6 })).toHaveLength(1);
  });

  it('stays with what was planned, unless the days before now or evenness ask for more', () => {
    expect(offsets({ kept: [MONDAY + 1, MONDAY + 5] })).toEqual([1, 5]);
    expect(offsets({ kept: [MONDAY + 2, MONDAY + 6] })).toEqual([2, 6]);
    // Two days running cost more than moving one of them.
    expect(offsets({ kept: [MONDAY + 1, MONDAY + 2] })).toEqual([1, 4]);
  });

  it('says what could not be met: open days, heavy days, days off, and days that follow each other', () => {
    const tight = { available: [0, 1], perWeek: 3, heavy: [1], daysOff: [MONDAY + 20] };
    expect(englishOf(words(tight))).toEqual([
      'Week 1: 1 of 3 sessions fit (open on Mon, Tue; not on heavy days (Tue); days off). Fewer than two a week rarely works.',
    ]);
    expect(englishOf(words({ available: [0, 3], perWeek: 3 }))).toEqual([
      'Week 1: 2 of 3 sessions fit (open on Mon, Thu).',
    ]);
    expect(
      englishOf(words({ available: [0, 2, 4], perWeek: 3, heavy: [2, 4], onHeavyDays: 'finisher' })),
    ).toEqual(['Week 1: 2 of 3 sessions fit (open on Mon, Wed, Fri; only on heavy days (Wed, Fri)).']);
    const running = { available: [5, 6], weeks: 2 };
    expect(englishOf(words(running))).toEqual([
      'Week 1: Sat and Sun follow each other; a day between would be better.',
      'Week 2: Sat and Sun follow each other; a day between would be better.',
    ]);
    expect(place(running).unmet.map(({ week }) => week)).toEqual([0, 1]);
    // What is done already is past advice; more than three a week cannot all be apart.
    expect(words({ done: [MONDAY, MONDAY + 1], available: [0, 1] })).toEqual([]);
    expect(words({ perWeek: 3, available: [0, 1, 2], done: [MONDAY] })).toHaveLength(2);
    expect(words({ perWeek: 4, available: [0, 1, 2, 3] })).toEqual([]);
  });

  it('never places on a day off or before now', () => {
    const days = place({ weeks: 4, perWeek: 3, daysOff: [MONDAY + 2, MONDAY + 9], fromDay: MONDAY + 1 }).days;
    expect(days).not.toContain(MONDAY + 2);
    expect(days).not.toContain(MONDAY + 9);
    expect(days[0]).toBeGreaterThanOrEqual(MONDAY + 1);
    expect(new Set(days).size).toBe(days.length);
    expect(weekdayOf(MONDAY)).toBe(0);
  });
});
