import { expect, it } from 'vitest';
import { ageOn } from './age';
import { dayOf } from './days';

it('counts whole years, from the birthday on', () => {
  const on = (today: string) => ageOn('1960-02-29', dayOf(today));
  expect([on('2025-02-27'), on('2025-02-28'), on('2025-03-01'), on('2028-02-29')]).toEqual([64, 64, 65, 68]);
  expect(ageOn('2008-05-06', dayOf('2026-05-06'))).toBe(18);
});
