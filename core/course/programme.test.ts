import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { rungSchema } from '../protocol/exercise';
import { dayOf, isoOf, weekdayOf } from './days';
import { highestRung, missingFor } from './ladder';
import { type Constraints, placeSessions } from './place-sessions';
import {
  checkProgramme,
  constraintsOf,
  firstMonth,
  missedDays,
  type ProgrammeWish,
  weeksOf,
} from './programme';

const MONDAY = dayOf('2026-05-04');
const wish: ProgrammeWish = {
  goal: 'size',
  schoolId: 'research-consensus',
  limb: 'left-thigh',
  startsOn: '2026-05-04',
  weeks: 8,
  perWeek: 2,
  available: [0, 1, 2, 3, 4],
  heavy: [],
  besideHeavy: 'apart',
  deloadEvery: 4,
  daysOff: [],
  atTime: '17:30',
};
const place = (changes: Partial<Constraints> = {}) => placeSessions({ ...constraintsOf(wish), ...changes });
const weekdays = (days: number[]) => days.map(weekdayOf);

describe('days', () => {
  it('read and write dates, and know a Monday', () => {
    expect(isoOf(MONDAY)).toBe('2026-05-04');
    expect(weekdayOf(MONDAY)).toBe(0);
    expect(weekdayOf(dayOf('2026-11-25'))).toBe(2);
    expect(dayOf('yesterday')).toBeNaN();
  });
});

describe('placing the sessions of a block (PRO-3, PRO-4)', () => {
  it('spreads two a week evenly, three or four days apart', () => {
    const { days, unmet } = place();
    expect(days).toHaveLength(16);
    expect(unmet).toEqual([]);
    const gaps = days.slice(1).map((day, i) => day - (days[i] ?? 0));
    expect(new Set(gaps)).toEqual(new Set([3, 4]));
  });

  it('keeps apart from heavy days, or goes on them as a finisher', () => {
    expect(weekdays(place({ heavy: [2] }).days)).not.toContain(2);
    expect(new Set(weekdays(place({ heavy: [1, 4], besideHeavy: 'finisher' }).days))).toEqual(
      new Set([1, 4]),
    );
  });

  it('says which week it could not fill, and that once a week rarely works', () => {
    const { days, unmet } = place({ available: [1], weeks: 4 });
    expect(days).toHaveLength(4);
    expect(unmet).toHaveLength(4);
    expect(unmet[0]?.message).toMatch(/Week 1: 1 of 2 .*Tue.* rarely works/);
    expect(place({ available: [1, 2], weeks: 4 }).unmet[0]?.message).toContain('follow each other');
  });

  it('plans again after a missed day: what is done stays, the week is made up, the rest hardly moves', () => {
    const planned = place().days;
    const [first, second = 0] = planned;
    const fromDay = second + 1;
    const { days } = place({ done: [first ?? 0], fromDay, kept: planned.slice(2) });
    expect(days[0]).toBe(first);
    expect(days).not.toContain(second);
    expect(days[1]).toBeGreaterThanOrEqual(fromDay);
    expect(days).toHaveLength(16);
    const moved = days.slice(2).filter((day) => !planned.includes(day));
    expect(moved.length).toBeLessThanOrEqual(2);
  });

  it('keeps every constraint it claims, fills each week as far as it goes, and reports the rest', () => {
    const anyConstraints = fc.record({
      startDay: fc.integer({ min: MONDAY, max: MONDAY + 6 }),
      weeks: fc.integer({ min: 4, max: 12 }),
      perWeek: fc.integer({ min: 1, max: 5 }),
      available: fc.subarray([0, 1, 2, 3, 4, 5, 6], { minLength: 1 }),
      heavy: fc.subarray([0, 1, 2, 3, 4, 5, 6]),
      besideHeavy: fc.constantFrom('apart', 'finisher'),
      daysOff: fc.array(fc.integer({ min: MONDAY, max: MONDAY + 90 }), { maxLength: 12 }),
      done: fc.constant([]),
      kept: fc.array(fc.integer({ min: MONDAY, max: MONDAY + 90 }), { maxLength: 20 }),
      fromDay: fc.integer({ min: MONDAY - 5, max: MONDAY + 30 }),
    } as const);
    fc.assert(
      fc.property(anyConstraints, (constraints) => {
        const { days, unmet } = placeSessions(constraints);
        expect(new Set(days).size).toBe(days.length);
        expect([...days].sort((a, b) => a - b)).toEqual(days);
        for (const day of days) {
          expect(constraints.available).toContain(weekdayOf(day));
          expect(constraints.daysOff).not.toContain(day);
          expect(day).toBeGreaterThanOrEqual(constraints.fromDay);
          const onHeavy = constraints.heavy.includes(weekdayOf(day));
          if (constraints.besideHeavy === 'apart') expect(onHeavy).toBe(false);
          else if (constraints.heavy.length > 0) expect(onHeavy).toBe(true);
        }
        for (let week = 0; week < constraints.weeks; week += 1) {
          const from = constraints.startDay + 7 * week;
          const placed = days.filter((day) => day >= from && day < from + 7).length;
          const reported = unmet.some(({ week: at, message }) => at === week && message.includes(' fit ('));
          const past = from + 7 <= constraints.fromDay;
          expect(placed).toBeLessThanOrEqual(constraints.perWeek);
          expect(placed < constraints.perWeek).toBe(reported || past);
        }
      }),
    );
  });
});

describe('a programme', () => {
  const programme = { wish, days: place().days.map(isoOf) };

  it('ramps the pressure, deloads, and says what falls due', () => {
    const weeks = weeksOf(programme, 40, null);
    expect(weeks.map(({ percentLop }) => percentLop)).toEqual([40, 45, 50, 55, 60, 60, 60, 60]);
    expect(weeks.filter(({ deload }) => deload).map(({ week }) => week + 1)).toEqual([4, 8]);
    expect(weeks[4]?.due).toEqual(['measure LOP again (LOP-6)']);
    expect(weeks[6]?.due).toEqual(['test 1RM again (LOAD-2)']);
    expect(weeksOf(programme, 40, 45).at(-1)?.percentLop).toBe(45);
    expect(weeks.flatMap(({ days }) => days)).toHaveLength(16);
  });

  it('guards more than three in seven days, but passive work may be daily', () => {
    const daily = Array.from({ length: 28 }, (_, i) => isoOf(MONDAY + i));
    const busy = { wish: { ...wish, perWeek: 7 }, days: daily };
    expect(checkProgramme(busy)).toMatchObject([{ rule: 'PRO-3', level: 'guard' }]);
    const everyOther = [0, 2, 4, 6].map((day) => isoOf(MONDAY + day));
    expect(checkProgramme({ wish: busy.wish, days: everyOther })).toMatchObject([{ rule: 'PRO-3' }]);
    const eighth = [0, 2, 4, 7].map((day) => isoOf(MONDAY + day));
    expect(checkProgramme({ wish: busy.wish, days: eighth })).toEqual([]);
    expect(checkProgramme({ ...busy, wish: { ...busy.wish, goal: 'passive' } })).toEqual([]);
    expect(checkProgramme({ wish, days: ['2026-05-04', '2026-05-04'] })).toMatchObject([{ level: 'hard' }]);
    expect(checkProgramme(programme)).toEqual([]);
  });

  it('has a first month of four weeks, two a week (PRO-6)', () => {
    expect(firstMonth({ ...wish, perWeek: 4 })).toMatchObject({ weeks: 4, perWeek: 2, deloadEvery: null });
  });

  it('knows which planned days were missed', () => {
    const [first = '', second = ''] = programme.days;
    expect(missedDays(programme, [dayOf(first)], dayOf(second) + 1)).toEqual([second]);
  });
});

describe('the rehabilitation ladder (PRO-5)', () => {
  const well = {
    pain: 1,
    swellingDown: true,
    rangeGood: true,
    daysSinceSurgery: null,
    clinicianAgrees: true,
  };

  it('is climbed as far as its criteria are met', () => {
    expect(highestRung(well)).toBe('functional');
    expect(highestRung({ ...well, clinicianAgrees: false })).toBe('loaded');
    expect(highestRung({ ...well, rangeGood: false })).toBe('unloaded');
    expect(highestRung({ ...well, pain: 4 })).toBe('isometric');
    expect(highestRung({ ...well, swellingDown: false })).toBe('passive');
    expect(highestRung({ ...well, daysSinceSurgery: 2 })).toBeNull();
    expect(missingFor('loaded', { ...well, pain: 6, rangeGood: false })).toHaveLength(2);
  });

  it('asks of a higher rung all that a lower one asks', () => {
    rungSchema.options.forEach((rung, i) => {
      const lower = rungSchema.options[i - 1];
      const bad = { ...well, pain: 9, rangeGood: false, clinicianAgrees: false, swellingDown: false };
      if (lower) expect(missingFor(rung, bad)).toEqual(expect.arrayContaining(missingFor(lower, bad)));
    });
  });
});
