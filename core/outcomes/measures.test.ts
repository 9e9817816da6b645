import { describe, expect, it } from 'vitest';
import {
  checkTaken,
  limbsFor,
  MEASURES,
  type Measure,
  measureIdSchema,
  TAKEN_HERE,
  type Taken,
  valueTaken,
} from './measures';
import { testsDue } from './test-calendar';

const girth: Taken = {
  measureId: 'girth-mid-thigh',
  limb: 'left-thigh',
  repeats: [52.1, 52.4],
  setting: '',
  note: '',
};

describe('measures (OUT-1)', () => {
  it.each(measureIdSchema.options)('%s says how it is taken, within bounds that its error fits in', (id) => {
    const measure: Measure = MEASURES[id];
    expect(measure.cue.length).toBeGreaterThan(10);
    expect(measure.lowest).toBeLessThan(measure.highest);
    expect(measure.error.value).toBeGreaterThan(0);
    expect(measure.error.value).toBeLessThan(
      measure.error.kind === 'percent' ? 15 : measure.highest - measure.lowest,
    );
  });

  it('take the mean of a girth and the best of a force; the best of a time is the shortest', () => {
    expect(valueTaken(girth)).toBe(52.3);
    expect(valueTaken({ measureId: 'isometric-force', repeats: [410, 433, 428] })).toBe(433);
    expect(valueTaken({ measureId: 'walk-10-m', repeats: [6.2, 6.1] })).toBe(6.2);
  });

  it('are of the limbs they can be of', () => {
    expect(limbsFor(MEASURES['girth-mid-arm'])).toEqual(['left-arm', 'right-arm']);
    expect(limbsFor(MEASURES['isometric-force'])).toHaveLength(4);
    expect(limbsFor(MEASURES.vo2max)).toEqual([]);
    expect(TAKEN_HERE).not.toContain('lop');
  });

  it('refuse what cannot be right, with what, where and how to mend it', () => {
    expect(checkTaken(girth)).toEqual([]);
    expect(checkTaken({ ...girth, limb: 'left-arm' })).toMatchObject([{ field: 'limb' }]);
    expect(checkTaken({ ...girth, limb: null })).toMatchObject([{ field: 'limb' }]);
    expect(checkTaken({ ...girth, repeats: [52, 521] })[0]?.message).toBe(
      '521 cm: Mid-thigh girth lies between 10 and 120.',
    );
    expect(checkTaken({ ...girth, measureId: 'vo2max', repeats: [40] }).map(({ field }) => field)).toEqual([
      'limb',
      'setting',
    ]);
  });
});

describe('the test calendar (OUT-4)', () => {
  // Eight weeks from day 100: its last day is 155, its last session on 153; midway is day 127.
  const block = { fromDay: 100, toDay: 155, lastSessionDay: 153 };
  const followed = (...days: number[]) => [
    { measureId: 'girth-mid-thigh' as const, limb: 'left-thigh' as const, setting: '', days },
  ];
  const due = (today: number, ...days: number[]) =>
    testsDue(block, followed(...days), today).map(({ moment }) => moment);

  it('asks from two weeks before, about the middle, three days after and a month after', () => {
    expect(due(85)).toEqual([]);
    expect(due(86)).toEqual(['baseline']);
    expect(due(100, 90)).toEqual([]);
    expect(due(123, 90)).toEqual([]);
    expect(due(124, 90)).toEqual(['midway']);
    expect(due(155, 90, 130)).toEqual([]);
    expect(due(156, 90, 130)).toEqual(['after']);
    expect(due(180, 90, 130, 157)).toEqual([]);
    expect(due(181, 90, 130, 157)).toEqual(['follow-up']);
    expect(due(300, 90, 130, 157, 190)).toEqual([]);
  });

  it('no longer asks for a moment that the next one has begun', () => {
    expect(due(130)).toEqual(['midway']);
    expect(testsDue(block, followed(), 130)[0]).toEqual({
      measureId: 'girth-mid-thigh',
      limb: 'left-thigh',
      setting: '',
      moment: 'midway',
      fromDay: 124,
    });
  });
});
