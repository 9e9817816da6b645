import { describe, expect, it } from 'vitest';
import { englishOf } from '#language/english-of.fixture';
import { inEnglish } from '#language/render';
import { type Measure, measureSchema } from './measure';
import {
  changesFigures,
  limbsFor,
  MEASURES,
  measureBook,
  measureIdSchema,
  measureOf,
  takenHere,
} from './measures';
import { checkTaken, type Taken, valueTaken } from './taken';
import { testsDue } from './test-calendar';

const girth: Taken = {
  measureId: 'girth-mid-thigh',
  limb: 'left-thigh',
  repeats: [52.1, 52.4],
  setting: '',
  note: '',
};

const check = (taken: Taken, measure: Measure = MEASURES['girth-mid-thigh']) => checkTaken(taken, measure);

describe('measures (OUT-1)', () => {
  it.each(Object.entries(MEASURES))(
    '%s says how it is taken, within bounds that its error fits in',
    (id, measure) => {
      expect(measureSchema.parse(measure)).toEqual(measure);
      expect(measureIdSchema.parse(id)).toBe(id);
      expect(inEnglish(measure.cue).length).toBeGreaterThan(10);
      expect(measure.lowest).toBeLessThan(measure.highest);
      expect(measure.error.value).toBeGreaterThan(0);
      expect(measure.error.value).toBeLessThan(
        measure.error.kind === 'percent' ? 15 : measure.highest - measure.lowest,
      );
    },
  );

  it('take the mean of a girth and the best of a force; the best of a time is the shortest', () => {
    expect(valueTaken(girth.repeats, MEASURES['girth-mid-thigh'])).toBe(52.3);
    expect(valueTaken([410, 433, 428], MEASURES['isometric-force'])).toBe(433);
    expect(valueTaken([6.2, 6.1], MEASURES['walk-10-m'])).toBe(6.2);
  });

  it('are of the limbs they can be of', () => {
    expect(limbsFor(MEASURES['girth-mid-arm'])).toEqual(['left-arm', 'right-arm']);
    expect(limbsFor(MEASURES['isometric-force'])).toHaveLength(4);
    expect(limbsFor(MEASURES.vo2max)).toEqual([]);
    expect(takenHere(MEASURES).map(({ value }) => value)).not.toContain('lop');
  });

  it('refuse what cannot be right, with what, where and how to correct it', () => {
    expect(check(girth)).toEqual([]);
    expect(englishOf(check({ ...girth, limb: 'left-arm' }))).toMatchObject([{ field: 'limb' }]);
    expect(englishOf(check({ ...girth, limb: null }))).toMatchObject([{ field: 'limb' }]);
    expect(englishOf(check({ ...girth, repeats: [52, 521] })[0]?.message)).toBe(
      '521 cm: Mid-thigh girth lies between 10 and 120.',
    );
    expect(check({ ...girth, repeats: [40] }, MEASURES.vo2max).map(({ field }) => field)).toEqual([
      'limb',
      'setting',
    ]);
  });
});

describe('measures of a practice', () => {
  const squeeze: Measure = {
    ...MEASURES['isometric-force'],
    label: 'Grip of the hand',
    of: 'arm',
    unit: 'kg',
    highest: 120,
  };

  it('are listed with the standard ones; one of the same id replaces it', () => {
    const book = measureBook({ 'own-grip': squeeze, vo2max: { ...MEASURES.vo2max, isLeftOut: true } });
    expect(measureOf(book, 'own-grip')).toBe(squeeze);
    const offered = takenHere(book).map(({ value }) => value);
    expect(offered).toContain('own-grip');
    expect(offered).not.toContain('vo2max');
    expect(englishOf(measureOf(book, 'of-somewhere-else'))).toMatchObject({
      label: 'of-somewhere-else',
      better: 'neither',
    });
  });

  it('are refused without a name, a cue, a unit or an error, or with bounds the wrong way round', () => {
    const wrong = [
      { label: ' ' },
      { cue: '' },
      { unit: '' },
      { error: { kind: 'absolute', value: 0 } },
      { lowest: 120 },
      { repeats: 0 },
    ];
    for (const changes of wrong)
      expect(measureSchema.safeParse({ ...squeeze, ...changes }).success).toBe(false);
  });

  it('keep what their figures say once there are some: unit, direction, limb and how several count', () => {
    const error = { kind: 'absolute', value: 1 } as const;
    expect(
      changesFigures(squeeze, { ...squeeze, label: 'Grip', cue: 'Elbow bent.', error, repeats: 2 }),
    ).toEqual([]);
    expect(changesFigures(squeeze, { ...squeeze, unit: 'N', take: 'mean', setting: undefined })).toEqual([
      'unit',
      'take',
      'setting',
    ]);
  });
});

describe('the test calendar (OUT-4)', () => {
  // Eight weeks from day 100: its last day is 155, its last session on 153; midway is day 127.
  const block = { fromDay: 100, toDay: 155, lastSessionDay: 153 };
  const followed = (...days: number[]) => [
    { measureId: 'girth-mid-thigh', limb: 'left-thigh' as const, setting: '', days },
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
