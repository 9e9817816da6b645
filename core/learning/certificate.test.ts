import { expect, it } from 'vitest';
import { MS_PER_DAY } from '../quantity/units';
import { certificateStanding } from './certificate';

it('is to be renewed from sixty days before its last day, and expired after it', () => {
  const untilMs = Date.UTC(2026, 5, 30, 23, 59, 59);
  const before = (days: number) => certificateStanding(untilMs, untilMs - days * MS_PER_DAY);
  expect(before(60)).toEqual({ state: 'valid', daysLeft: 60 });
  expect(before(59.9)).toEqual({ state: 'renew', daysLeft: 59 });
  expect(before(0)).toEqual({ state: 'renew', daysLeft: 0 });
  expect(before(-0.001).state).toBe('expired');
});
