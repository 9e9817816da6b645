import { describe, expect, it } from 'vitest';
import { dayOf, isoOf, weekdayOf } from './days';

const MONDAY = dayOf('2026-05-04');

describe('days', () => {
  it('read and write dates, and know a Monday', () => {
    expect(isoOf(MONDAY)).toBe('2026-05-04');
    expect(weekdayOf(MONDAY)).toBe(0);
    expect(weekdayOf(dayOf('2026-11-25'))).toBe(2);
    for (const none of ['yesterday', '2027-02-31', '2026-06-31', '2026-13-01']) expect(dayOf(none)).toBeNaN();
    expect(isoOf(dayOf('2028-02-29'))).toBe('2028-02-29');
  });
});
