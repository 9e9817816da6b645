import { describe, expect, it } from 'vitest';
import { englishOf } from '#language/english-of.fixture';
import { EXERCISES, type Library } from '../protocol/exercises';
import { MEASURES, measureBook } from './measures';
import { type AllMeasured, isAside, seriesOf, type TakenOnce, type TestedOnce } from './series';

const DAY_MS = 86_400_000;
const library = EXERCISES as Library;
const taken = (days: number, value: number, changes: Partial<TakenOnce> = {}): TakenOnce => ({
  measureId: 'girth-mid-thigh',
  limb: 'left-thigh',
  setting: '',
  atMs: days * DAY_MS,
  value,
  withdrawn: null,
  ...changes,
});
const lop = (days: number, value: number, uncertaintyMmHg: number, widthCm = 11.5): TestedOnce => ({
  kind: 'lop',
  atMs: days * DAY_MS,
  value,
  limb: 'left-thigh',
  position: 'sitting',
  widthCm,
  uncertaintyMmHg,
});
const oneRepMax = (days: number, value: number, side: 'left' | 'both' = 'left'): TestedOnce => ({
  kind: 'one-rep-max',
  atMs: days * DAY_MS,
  value,
  exerciseId: 'knee-extension',
  side,
});
const of = (all: Partial<AllMeasured>, book = MEASURES) =>
  seriesOf({ taken: [], tested: [], pairs: {}, ...all }, { library, book });

describe('what is followed over time (OUT-1, OUT-2)', () => {
  it('is one series for a measure, limb and setting, oldest first, whatever its letters', () => {
    const [one, ...others] = of({ taken: [taken(40, 52), taken(0, 50), taken(20, 51)] });
    expect(others).toEqual([]);
    expect(one?.points.map(({ atMs, value }) => [atMs / DAY_MS, value])).toEqual([
      [0, 50],
      [20, 51],
      [40, 52],
    ]);
    expect(englishOf(one?.label)).toBe('Mid-thigh girth, left thigh');
    expect(one).toMatchObject({
      measure: MEASURES['girth-mid-thigh'],
      verdict: { kind: 'real-gain', change: 2 },
    });
    const force = (setting: string) => taken(0, 400, { measureId: 'isometric-force', setting });
    expect(of({ taken: [force('Knee at 60°'), force('knee AT 60°')] })).toHaveLength(1);
    expect(of({ taken: [force('Knee at 60°'), force('Knee at 90°')] })).toHaveLength(2);
    expect(of({ taken: [taken(0, 50), taken(0, 51, { limb: 'right-thigh' })] })).toHaveLength(2);
  });

  it('has no verdict of one value, and none of what was withdrawn', () => {
    expect(englishOf(of({ taken: [taken(0, 50)] })[0])).toMatchObject({
      verdict: null,
      points: [{ value: 50 }],
    });
    const withdrawn = { withdrawn: 'Over the trousers' };
    expect(of({ taken: [taken(0, 50), taken(40, 60, withdrawn)] })[0]?.verdict).toBeNull();
    expect(of({ taken: [taken(0, 50, withdrawn)] })).toEqual([]);
  });

  it('takes the error from the practice’s repeats of that measure, in % of the first value', () => {
    const pairs = Array.from({ length: 8 }, (_, i) => [100, i % 2 === 0 ? 110 : 90] as [number, number]);
    const force = [0, 40].map((days) => taken(days, 400, { measureId: 'isometric-force' }));
    const [own] = of({ taken: force, pairs: { 'isometric-force': pairs } });
    expect(own?.error).toMatchObject({ from: 'own-repeats', pairs: 8, kind: 'percent' });
    expect(own?.points[1]?.error).toBeCloseTo(((own?.error.value ?? 0) * 400) / 100, 9);
    const [assumed] = of({ taken: force, pairs: { 'girth-calf': pairs } });
    expect(assumed?.error).toMatchObject({ from: 'default', value: 5, pairs: 0 });
    // 5 % of the first value for both.
    expect(
      of({
        taken: [force[0] ?? expect.unreachable(), taken(40, 500, { measureId: 'isometric-force' })],
      })[0]?.points.map(({ error }) => error),
    ).toEqual([20, 20]);
  });

  it('judges an LOP by half its own uncertainty each time, and by position and cuff', () => {
    const [one] = of({ tested: [lop(0, 180, 8), lop(30, 170, 6)] });
    expect(one?.points.map(({ error }) => error)).toEqual([4, 3]);
    expect(englishOf(one)).toMatchObject({
      label: 'LOP, left thigh, sitting, cuff of 11.5 cm',
      setting: 'sitting, 11.5 cm',
      limb: 'left-thigh',
    });
    // 1.96 × √(16 + 9) = 9.8: a fall of 10 is real.
    expect(one?.verdict).toMatchObject({ kind: 'real-loss', smallestReal: 9.8 });
    expect(of({ tested: [lop(0, 180, 8), lop(30, 150, 8, 7.5)] })).toHaveLength(2);
  });

  it('names a 1RM by its exercise and side, also of one that is in no library', () => {
    const [one] = of({ tested: [oneRepMax(0, 40), oneRepMax(30, 44)] });
    expect(englishOf(one)).toMatchObject({
      label: '1RM, Knee extension, left',
      limb: null,
      verdict: { change: 4 },
    });
    const gone = { ...oneRepMax(0, 40), exerciseId: 'own-sled' } as TestedOnce;
    expect(englishOf(of({ tested: [gone] })[0]?.label)).toBe('1RM, own-sled, left');
    expect(of({ tested: [oneRepMax(0, 40), oneRepMax(0, 70, 'both')] })).toHaveLength(2);
  });

  it('puts what can get better first, then the newest, then by name', () => {
    const all = of({
      taken: [
        taken(50, 80, { measureId: 'body-mass', limb: null }),
        taken(10, 36, { measureId: 'girth-calf' }),
        taken(10, 52),
        taken(30, 9, { measureId: 'sit-to-stand-30', limb: null }),
      ],
      tested: [lop(60, 180, 8)],
    });
    expect(englishOf(all.map(({ label }) => label))).toEqual([
      '30 s sit-to-stand',
      'Calf girth, left thigh',
      'Mid-thigh girth, left thigh',
      'LOP, left thigh, sitting, cuff of 11.5 cm',
      'Body mass',
    ]);
    expect(all.map(isAside)).toEqual([0, 0, 0, 1, 1]);
  });

  it('goes by what the practice says of a measure', () => {
    const error = { kind: 'absolute', value: 2 } as const;
    const book = measureBook({ 'girth-mid-thigh': { ...MEASURES['girth-mid-thigh'], error } });
    expect(englishOf(of({ taken: [taken(0, 50), taken(40, 52)] }, book)[0])).toMatchObject({
      error: { value: 2, from: 'default' },
      verdict: { kind: 'probably-gain' },
    });
    expect(englishOf(of({ taken: [taken(0, 1, { measureId: 'gone' })] })[0])).toMatchObject({
      label: 'gone, left thigh',
    });
  });
});
