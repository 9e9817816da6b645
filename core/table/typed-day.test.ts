import fc from 'fast-check';
import { expect, it } from 'vitest';
import { isoOf } from '../quantity/days';
import type { DateOrder } from './day';
import { readTypedDay, readTypedTime } from './typed-day';

it.each([
  ['24 Nov 2026', 'month-day-year', '2026-11-24'],
  ['24. November 2026', 'day-month-year', '2026-11-24'],
  ['Nov 24, 2026', 'day-month-year', '2026-11-24'],
  ['2026-11-24', 'month-day-year', '2026-11-24'],
  ['4/5/26', 'day-month-year', '2026-05-04'],
  ['4/5/26', 'month-day-year', '2026-04-05'],
  ['31 Feb 2026', 'day-month-year', null],
  ['24 Nox 2026', 'day-month-year', null],
  ['24 Nov', 'day-month-year', null],
  ['tomorrow', 'day-month-year', null],
  ['', 'day-month-year', null],
] as const)('reads the day %s in the order %s as %s', (text, order, iso) => {
  expect(readTypedDay(text, order)).toBe(iso);
});

it('reads back every day it is written as, whatever the order of the practice', () => {
  const orders: DateOrder[] = ['day-month-year', 'month-day-year', 'year-month-day'];
  fc.assert(
    fc.property(fc.integer({ min: 0, max: 40_000 }), fc.constantFrom(...orders), (dayNumber, order) => {
      const iso = isoOf(dayNumber);
      const [year, month, day] = iso.split('-').map(Number);
      const name = new Date(Date.UTC(2000, (month ?? 1) - 1)).toLocaleString('en', {
        month: 'short',
        timeZone: 'UTC',
      });
      expect(readTypedDay(`${day} ${name} ${year}`, order)).toBe(iso);
      expect(readTypedDay(iso, order)).toBe(iso);
    }),
  );
});

it.each([
  ['17:30', '17:30'],
  ['1730', '17:30'],
  ['17.30', '17:30'],
  ['9', '09:00'],
  ['5:30 pm', '17:30'],
  ['12 am', '00:00'],
  ['12 pm', '12:00'],
  ['24:00', null],
  ['13 pm', null],
  ['17:60', null],
  ['soon', null],
])('reads the time %s as %s', (text, time) => {
  expect(readTypedTime(text)).toBe(time);
});
