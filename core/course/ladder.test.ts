import { describe, expect, it } from 'vitest';
import { rungSchema } from '../protocol/exercise';
import { highestRung, missingFor } from './ladder';

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
