import { expect, it } from 'vitest';
import { painOnRecord } from './pain-on-record';

const DAY_MS = 86_400_000;
const NOW_MS = 20 * DAY_MS + 3_600_000;
const check = (daysAgo: number, painNow: number) => ({
  atMs: NOW_MS - daysAgo * DAY_MS,
  painNow,
  notWell: [],
  bloodPressure: null,
});
const test = (daysAgo: number, value: number, more: object = {}) => ({
  measureId: 'pain-on-test' as const,
  limb: 'left-thigh' as const,
  atMs: NOW_MS - daysAgo * DAY_MS,
  value,
  withdrawn: null,
  ...more,
});
const found = (dayChecks: ReturnType<typeof check>[], ...taken: ReturnType<typeof test>[]) =>
  painOnRecord({ dayChecks, zoneOffsetMs: 0 }, taken, 'left-thigh', NOW_MS);

it('is the newest provoking test of the limb, else what the check of today says', () => {
  expect(found([check(0, 2)], test(9, 6), test(30, 8))).toMatchObject({ painOfTen: 6, isToday: false });
  expect(found([], test(0, 6))).toMatchObject({ painOfTen: 6, isToday: true, of: 'provoking-test' });
  expect(found([check(0, 2)])).toMatchObject({ painOfTen: 2, of: 'day-check' });
});

it('is none of another limb, one that was withdrawn, or a check of another day', () => {
  expect(found([check(3, 5)])).toBeUndefined();
  expect(
    found([], test(0, 6, { limb: 'right-thigh' }), test(0, 7, { withdrawn: 'mistyped' })),
  ).toBeUndefined();
});
