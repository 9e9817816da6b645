import fc from 'fast-check';
import { expect, it } from 'vitest';
import { dayOf, isoOf } from '../quantity/days';
import { keptUntil } from './retention';

it('is the same day of the calendar so many years later, and a day longer from a 29 February', () => {
  const until = (day: string, years: number) => isoOf(keptUntil(dayOf(day), years));
  expect(until('2026-11-30', 10)).toBe('2036-11-30');
  expect(until('2024-02-29', 10)).toBe('2034-03-01');
  expect(until('2024-02-29', 4)).toBe('2028-02-29');
});

it('is never shorter than the years it is of, whatever the day', () => {
  fc.assert(
    fc.property(fc.integer({ min: 10_000, max: 40_000 }), fc.integer({ min: 1, max: 50 }), (day, years) => {
      const kept = keptUntil(day, years) - day;
      expect(kept).toBeGreaterThanOrEqual(Math.floor(years * 365.2));
      expect(kept).toBeLessThanOrEqual(Math.ceil(years * 365.25) + 1);
    }),
  );
});
