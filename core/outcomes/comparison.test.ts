import { describe, expect, it } from 'vitest';
import { englishOf } from '#language/english-of.fixture';
import { inEnglish } from '#language/render';
import type { Library } from '../protocol/exercises';
import { dayOf } from '../quantity/days';
import type { Limb } from '../quantity/limb';
import { normal, seededRandom } from '../simulation/random';
import {
  type Comparison,
  compareArms,
  comparisonDue,
  comparisonWishSchema,
  conditionsOf,
  conditionsOn,
  drawnWords,
} from './comparison';
import { MEASURES } from './measures';
import { type Series, seriesOf } from './series';

const DAY_MS = 86_400_000;
const START = '2026-03-02';
const START_DAY = dayOf(START);
const girth = { measureId: 'girth-mid-thigh', setting: '', startsOn: START } as const;
const limbs = (seed = 1): Comparison => ({ kind: 'limbs', ...girth, limbs: 'leg', weeks: 6, seed });
const periods = (seed = 1, pairs = 2): Comparison => ({
  kind: 'periods',
  ...girth,
  limb: 'left-thigh',
  weeksEach: 3,
  pairs,
  seed,
});
/** The first seed that draws the limbs or times so. */
const drawn = (of: (seed: number) => Comparison, words: string): Comparison => {
  const seed = Array.from({ length: 500 }, (_, one) => one).find(
    (one) => inEnglish(drawnWords(of(one))) === words,
  );
  return of(seed ?? expect.unreachable());
};
const taken = (limb: Limb, day: number, value: number) => ({
  measureId: 'girth-mid-thigh',
  limb,
  setting: '',
  atMs: (START_DAY + day) * DAY_MS + 9 * 3_600_000,
  value,
  withdrawn: null,
});
const seriesFrom = (all: ReturnType<typeof taken>[]): Series[] =>
  seriesOf({ taken: all, tested: [], pairs: {} }, { library: {} as Library, book: MEASURES });
const compare = (comparison: Comparison, ...all: ReturnType<typeof taken>[]) =>
  compareArms(comparison, seriesFrom(all), 0);

describe('what a comparison in one person draws', () => {
  it('is which of two limbs has the cuff, by the seed, and the same again', () => {
    expect(conditionsOf(limbs())).toEqual(conditionsOf(limbs()));
    const both = new Set(Array.from({ length: 40 }, (_, seed) => inEnglish(drawnWords(limbs(seed)))));
    expect(englishOf([...both].sort())).toEqual([
      'Left thigh with the cuff, right thigh without',
      'Right thigh with the cuff, left thigh without',
    ]);
    for (const { fromDay, toDay } of conditionsOf(limbs())) {
      expect([fromDay, toDay]).toEqual([START_DAY, START_DAY + 41]);
    }
  });

  it('is the order within each pair of times, one after the other without a gap', () => {
    const conditions = conditionsOf(periods(5, 4));
    expect(conditions.map(({ fromDay }) => fromDay - START_DAY)).toEqual([0, 21, 42, 63, 84, 105, 126, 147]);
    for (let pair = 0; pair < 4; pair += 1) {
      const two = conditions.slice(2 * pair, 2 * pair + 2);
      expect(two.map(({ withCuff }) => withCuff).sort()).toEqual([false, true]);
    }
    expect(conditionsOn(periods(), START_DAY + 21)).toEqual([conditionsOf(periods())[1]]);
    expect(conditionsOn(periods(), START_DAY - 1)).toEqual([]);
  });

  it('is refused for a time too short to show anything, or a day that is none', () => {
    const { seed: _, ...wish } = limbs();
    expect(comparisonWishSchema.safeParse(wish).success).toBe(true);
    for (const wrong of [{ weeks: 3 }, { startsOn: 'soon' }, { measureId: 'Drop table' }])
      expect(comparisonWishSchema.safeParse({ ...wish, ...wrong }).success).toBe(false);
  });
});

describe('what is to be measured for it', () => {
  const due = (day: number, ...days: number[]) =>
    comparisonDue(
      drawn(periods, 'with, without, with, without'),
      () => days.map((one) => START_DAY + one),
      START_DAY + day,
    ).map(({ fromDay }) => fromDay - START_DAY);

  it('is due before, between and after its times, until it is taken', () => {
    expect(due(-15)).toEqual([]);
    expect(due(-14)).toEqual([-14]);
    expect(due(0, -10)).toEqual([]);
    expect(due(4, -10)).toEqual([]);
    expect(due(18, -10)).toEqual([18]);
    expect(due(27, -10)).toEqual([18]);
    expect(due(28, -10)).toEqual([]);
    expect(due(84, -10, 20, 42, 63)).toEqual([81]);
  });

  it('is due of both limbs where limbs are compared', () => {
    const both = comparisonDue(limbs(), () => [], START_DAY);
    expect(both.map(({ limb }) => limb)).toEqual(['left-thigh', 'right-thigh']);
  });
});

describe('what it says, as worked by hand', () => {
  const left = drawn(limbs, 'Left thigh with the cuff, right thigh without');

  it('is the difference of the gains of two limbs, with the errors of four values', () => {
    const { verdict, asLarge } = compare(
      left,
      taken('left-thigh', -2, 50),
      taken('right-thigh', -2, 50),
      taken('left-thigh', 42, 52),
      taken('right-thigh', 42, 50.5),
    );
    expect(verdict).toMatchObject({ kind: 'probably-gain', change: 1.5 });
    expect(verdict?.smallestReal).toBeCloseTo(1.96, 6);
    expect(verdict?.chance).toBeCloseTo(0.9332, 4);
    expect(asLarge).toBeNull();
  });

  it('turns round with the limb that was drawn', () => {
    const right = drawn(limbs, 'Right thigh with the cuff, left thigh without');
    const all = [
      taken('left-thigh', 0, 50),
      taken('right-thigh', 0, 50),
      taken('left-thigh', 42, 52),
      taken('right-thigh', 42, 50.5),
    ];
    expect(compare(right, ...all).verdict?.change).toBe(-1.5);
  });

  it('of times is the mean gain with minus without; values between count in both', () => {
    const inTurn = drawn(periods, 'with, without, with, without');
    const all = [50, 51, 51.2, 52.4, 52.8].map((value, place) => taken('left-thigh', 21 * place, value));
    const { verdict, asLarge } = compare(inTurn, ...all);
    // Gains 1.0 and 1.2 with, 0.2 and 0.4 without: 1.1 − 0.3.
    expect(verdict?.change).toBeCloseTo(0.8, 9);
    // Coefficients −½, 1, −1, 1, −½ of an error of 0.5.
    expect(verdict?.smallestReal).toBeCloseTo(1.96 * 0.5 * Math.sqrt(3.5), 4);
    expect(asLarge).toEqual({ of: 1, orders: 4 });
    const other = drawn(periods, 'with, without, without, with');
    // Coefficients −½, 1, 0, −1, ½: the value in the middle falls out.
    expect(compare(other, ...all).verdict?.smallestReal).toBeCloseTo(1.96 * 0.5 * Math.sqrt(2.5), 4);
    expect(compare(other, ...all).asLarge).toEqual({ of: 3, orders: 4 });
  });

  it('says nothing while a value is missing, and names which', () => {
    const { verdict, values } = compare(
      left,
      taken('left-thigh', -2, 50),
      taken('right-thigh', -20, 50),
      taken('left-thigh', 42, 52),
      taken('right-thigh', 55, 50.5),
    );
    expect(verdict).toBeNull();
    expect(values.map(({ taken: found }) => found?.value ?? null)).toEqual([50, 52, null, null]);
  });

  it('takes the value nearest to the day', () => {
    const { values } = compare(
      left,
      taken('left-thigh', -9, 49),
      taken('left-thigh', -1, 50),
      taken('left-thigh', 3, 51),
    );
    expect(values[0]?.taken?.value).toBe(50);
  });

  it('calls a difference real in no more than 5 of 100 where there is none, in every design', () => {
    const random = seededRandom(3);
    const noisy = (limb: Limb, day: number) => taken(limb, day, 50 + 0.5 * normal(random));
    const RUNS = 1500;
    const [ofLimbs, ofTimes] = [0, 1].map((design) => {
      let real = 0;
      for (let run = 0; run < RUNS; run += 1) {
        const { verdict } =
          design === 0
            ? compare(
                limbs(run),
                ...[0, 42].flatMap((day) => [noisy('left-thigh', day), noisy('right-thigh', day)]),
              )
            : compare(periods(run), ...[0, 21, 42, 63, 84].map((day) => noisy('left-thigh', day)));
        if (verdict?.kind === 'real-gain' || verdict?.kind === 'real-loss') real += 1;
      }
      return real / RUNS;
    });
    expect(ofLimbs).toBeLessThan(0.065);
    expect(ofTimes).toBeLessThan(0.065);
    expect(ofLimbs).toBeGreaterThan(0.03);
  });
});
