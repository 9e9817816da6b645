import { describe, expect, it } from 'vitest';
import { englishOf } from '#language/english-of.fixture';
import { type LadderRung, rungSchema } from '../protocol/exercise';
import { type LadderAnswers, missingFor } from './ladder';

describe('the rehabilitation ladder (PRO-5)', () => {
  const well = {
    pain: 1,
    swellingDown: true,
    rangeGood: true,
    daysSinceSurgery: null,
    clinicianAgrees: true,
  };

  it('asks of each rung what it is entered by', () => {
    const missing = (rung: LadderRung, changes: Partial<LadderAnswers>) =>
      missingFor(rung, { ...well, ...changes });
    expect(missingFor('functional', well)).toEqual([]);
    expect(englishOf(missing('isometric', { clinicianAgrees: false }))).toEqual(['the clinician’s word']);
    expect(missing('passive', { clinicianAgrees: false, swellingDown: false, pain: 9 })).toEqual([]);
    expect(missing('loaded', { pain: 6, rangeGood: false })).toHaveLength(2);
    expect(missing('unloaded', { pain: 3, rangeGood: false })).toEqual([]);
    expect(englishOf(missing('passive', { daysSinceSurgery: 2 }))).toEqual([
      'four days or more since surgery',
    ]);
    expect(missing('passive', { daysSinceSurgery: 4 })).toEqual([]);
  });

  it('asks of a higher rung all that a lower one asks', () => {
    rungSchema.options.forEach((rung, i) => {
      const lower = rungSchema.options[i - 1];
      const bad = { ...well, pain: 9, rangeGood: false, clinicianAgrees: false, swellingDown: false };
      if (lower)
        expect(englishOf(missingFor(rung, bad))).toEqual(
          expect.arrayContaining(englishOf(missingFor(lower, bad))),
        );
    });
  });
});
