import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { englishOf } from '#language/english-of.fixture';
import { ENGLISH, inEnglish, render } from '#language/render';
import { messageOf } from '../message/issue';
import { checkLoad, targetLoad, withoutKilograms } from './target-load';
import { MOST_LOADS, makeableLoads, type WeightKit, weightKitSchema } from './weight-kit';

const dumbbells: WeightKit = {
  kind: 'single-masses',
  id: 'd',
  label: 'Dumbbells',
  massesKg: [2, 4, 1, 6, 8, 10],
};
const stack: WeightKit = {
  kind: 'stack',
  id: 's',
  label: 'Stack',
  lightestKg: 5,
  stepKg: 2.5,
  heaviestKg: 20,
};
const bar: WeightKit = {
  kind: 'bar-and-plates',
  id: 'b',
  label: 'Bar',
  barKg: 7.5,
  pairs: [
    { plateKg: 1.25, pairs: 2 },
    { plateKg: 2.5, pairs: 1 },
    { plateKg: 5, pairs: 1 },
  ],
};

describe('what the kit can make (LOAD-4)', () => {
  it('lists a stack from its lightest pin to its heaviest', () => {
    expect(makeableLoads(stack).map(({ loadKg }) => loadKg)).toEqual([5, 7.5, 10, 12.5, 15, 17.5, 20]);
  });

  it('says how in the practice’s own unit', () => {
    const pounds: WeightKit = { kind: 'single-masses', id: 'd', label: 'D', massesKg: [4.53592] };
    expect(
      render(makeableLoads(pounds)[0]?.recipe ?? '', { ...ENGLISH, units: { mass: 'lb', length: 'in' } }),
    ).toBe('10 lb');
  });

  it('uses the fewest plates that reach a load on a bar', () => {
    const twelveAndAHalf = makeableLoads(bar).find(({ loadKg }) => loadKg === 12.5);
    expect(englishOf(twelveAndAHalf?.recipe)).toBe('bar 7.5 kg, each end 2.5 kg');
    expect(englishOf(makeableLoads(bar)[0])).toEqual({ loadKg: 7.5, recipe: 'bar 7.5 kg alone' });
    expect(makeableLoads(bar).at(-1)?.loadKg).toBe(7.5 + 2 * (2 * 1.25 + 2.5 + 5));
  });
});

describe('kit with absurd steps (LOAD-4)', () => {
  const absurd: WeightKit = { ...stack, lightestKg: 0.000001, stepKg: 0.000001, heaviestKg: 500 };
  const plates = Array.from({ length: 20 }, (_, i) => ({ plateKg: 0.001 * 1.4 ** i, pairs: 20 }));
  const fineBar: WeightKit = { ...bar, pairs: plates };

  it('is refused in words that say what to enter', () => {
    const wordsOf = (kit: WeightKit) =>
      weightKitSchema.safeParse(kit).error?.issues.map((one) => inEnglish(messageOf(one))) ?? [];
    expect(wordsOf(absurd)).toEqual([expect.stringContaining('more than 2000 loads')]);
    expect(wordsOf(fineBar)).toEqual([expect.stringContaining('leave out')]);
    expect(wordsOf({ ...stack, heaviestKg: 1 })).toEqual([
      expect.stringContaining('lighter than the lightest'),
    ]);
    expect([stack, bar, dumbbells].flatMap(wordsOf)).toEqual([]);
  });

  it('makes no more than 2,000 loads where it is on record already', () => {
    expect(makeableLoads(absurd)).toHaveLength(MOST_LOADS);
    expect(makeableLoads(fineBar).length).toBeLessThanOrEqual(MOST_LOADS);
  });
});

describe('kit with mixed marks, and none at all (LOAD-4)', () => {
  it('names each plate as it is marked, and adds kilograms and pounds up', () => {
    const mixed: WeightKit = {
      kind: 'bar-and-plates',
      id: 'm',
      label: 'Mixed',
      barKg: 10,
      pairs: [
        { plateKg: 2.5, pairs: 1 },
        { plateKg: 4.5359237, pairs: 1, markedIn: 'lb' },
      ],
    };
    expect(englishOf(makeableLoads(mixed).map(({ recipe }) => recipe))).toEqual([
      'bar 10 kg alone',
      'bar 10 kg, each end 2.5 kg',
      'bar 10 kg, each end 10 lb',
      'bar 10 kg, each end 10 lb + 2.5 kg',
    ]);
    expect(targetLoad(80, 30, mixed).load.value).toBeCloseTo(10 + 2 * 4.5359237, 4);
  });

  it('steps through bands and body weight by name', () => {
    const bands: WeightKit = { kind: 'bands', id: 'b', label: 'Bands', names: ['sand', 'moss', 'slate'] };
    const moss = withoutKilograms('moss', [bands]);
    expect(englishOf([moss.lighter?.recipe, moss.heavier?.recipe])).toEqual(['sand band', 'slate band']);
    expect(englishOf(withoutKilograms('body weight', [bands]))).toMatchObject({
      lighter: { recipe: 'body weight with help', loadKg: null },
      heavier: null,
      truePercent: null,
    });
  });
});

describe('targetLoad (LOAD-3, LOAD-4)', () => {
  it('rounds down to the kit and gives the true share', () => {
    const target = targetLoad(28, 25, dumbbells);
    expect(target.load.value).toBe(6);
    expect(target.truePercent).toBe(21.4);
    expect(checkLoad(25, target)).toEqual([]);
  });

  it('never makes more than the target unless the kit has nothing lighter, and then says so', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(dumbbells, stack, bar),
        fc.double({ min: 2, max: 200, noNaN: true }),
        fc.integer({ min: 10, max: 50 }),
        (kit, oneRepMaxKg, percent) => {
          const target = targetLoad(oneRepMaxKg, percent, kit);
          const { load, truePercent } = target;
          const lightest = makeableLoads(kit)[0]?.loadKg ?? 0;
          expect(load.value <= (oneRepMaxKg * percent) / 100 + 1e-6 || load.value === lightest).toBe(true);
          if ((truePercent ?? 0) > 50) {
            expect(englishOf(checkLoad(percent, target))).toContainEqual(
              expect.objectContaining({ level: 'hard' }),
            );
          }
        },
      ),
    );
  });

  it('names the next step down and up, and none past the ends of the kit', () => {
    const dumbbells: WeightKit = { kind: 'single-masses', id: 'd', label: 'D', massesKg: [2, 4, 6] };
    const middle = targetLoad(20, 25, dumbbells);
    expect(englishOf(middle.lighter)).toMatchObject({ loadKg: 2, percent: 10 });
    expect(englishOf(middle.heavier)).toMatchObject({ loadKg: 6, percent: 30, recipe: '6 kg' });
    expect(targetLoad(20, 5, dumbbells).lighter).toBeNull();
    expect(targetLoad(20, 40, dumbbells).heavier).toBeNull();
  });

  it('guards above 40 %, refuses above 50 %, notes below 20 %', () => {
    const at = (percent: number) => checkLoad(percent, targetLoad(100, percent, stack)).map((f) => f.level);
    expect(at(15)).toEqual(['note']);
    expect(at(40)).toEqual([]);
    expect(at(45)).toEqual(['guard']);
    expect(at(51)).toEqual(['hard']);
  });

  it('says so when the lightest item is already too heavy', () => {
    const target = targetLoad(11, 20, stack);
    expect(target.load.value).toBe(5);
    expect(englishOf(checkLoad(20, target))).toMatchObject([
      { rule: 'LOAD-4', level: 'guard', subject: 'weightKitId' },
    ]);
    expect(englishOf(checkLoad(20, targetLoad(9, 20, stack)))).toMatchObject([
      { rule: 'LOAD-4', level: 'hard' },
    ]);
  });
});
