import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { englishOf } from '#language/english-of.fixture';
import { normal, seededRandom } from '../simulation/random';
import { errorInUnit, typicalError } from './error';
import { poissonInterval, ratePer } from './rate';
import { newestPair, symmetry } from './symmetry';
import { judge, normalBelow, verdict } from './verdict';
import { chanceWords, changeFigure, differenceWords, verdictWords } from './verdict-words';

const DAY_MS = 86_400_000;
const girth = { better: 'higher', isSize: true } as const;
const at = (days: number, value: number, error = 0.5) => ({ atMs: days * DAY_MS, value, error });

describe('a change against its error (OUT-2), as worked by hand', () => {
  it('is real from 1.96 × √2 × the error on', () => {
    const real = verdict(girth, at(0, 50), at(56, 51.5));
    expect(real).toMatchObject({ kind: 'real-gain', change: 1.5 });
    expect(real.smallestReal).toBeCloseTo(1.3859, 4);
    expect(real.chance).toBeCloseTo(0.98305, 5);
    expect([real.interval.low, real.interval.high]).toEqual([
      expect.closeTo(0.1141, 4),
      expect.closeTo(2.8859, 4),
    ]);
    expect(verdict(girth, at(0, 50), at(56, 51.385)).kind).toBe('probably-gain');
    expect(verdict(girth, at(0, 50), at(56, 51.386)).kind).toBe('real-gain');
    expect(verdict(girth, at(0, 50), at(56, 48.6)).kind).toBe('real-loss');
  });

  it('is probable from 75 in 100, and noise in between', () => {
    // 0.4769 × … : z of 0.75 is 0.6745, times √2 × 0.5 is 0.4769.
    expect(verdict(girth, at(0, 50), at(56, 50.478)).kind).toBe('probably-gain');
    expect(verdict(girth, at(0, 50), at(56, 50.476)).kind).toBe('within-noise');
    expect(verdict(girth, at(0, 50), at(56, 50)).kind).toBe('within-noise');
    expect(verdict(girth, at(0, 50), at(56, 49.522)).kind).toBe('probably-loss');
  });

  it('says nothing of size before day 21, and of anything else at once', () => {
    expect(verdict(girth, at(0, 50), at(20.9, 55)).kind).toBe('too-early');
    expect(verdict(girth, at(0, 50), at(21, 55)).kind).toBe('real-gain');
    expect(verdict({ better: 'lower' }, at(0, 6, 0.7), at(2, 2, 0.7)).kind).toBe('real-gain');
    expect(verdict({ better: 'lower' }, at(0, 2, 0.7), at(2, 6, 0.7)).kind).toBe('real-loss');
  });

  it('goes by the error of each occasion, as an LOP has its own', () => {
    // U of 7 and 5: errors 3.5 and 2.5, √ of their squares 4.301, times 1.96 8.43.
    expect(verdict({ better: 'neither' }, at(0, 174, 3.5), at(28, 182, 2.5)).smallestReal).toBeCloseTo(
      8.4303,
      4,
    );
  });

  it('calls a gain real in at most 5 of 100 where nothing changed, and says its power', () => {
    const random = seededRandom(7);
    const share = (truly: number) => {
      const runs = 4000;
      const real = Array.from({ length: runs }, () =>
        verdict(girth, at(0, 50 + 0.5 * normal(random)), at(56, 50 + truly + 0.5 * normal(random))),
      ).filter(({ kind }) => kind === 'real-gain').length;
      return real / runs;
    };
    expect(share(0)).toBeLessThanOrEqual(0.05);
    // Φ((2 − 2.772) ÷ 1.414) = 0.293, Φ((4 − 2.772) ÷ 1.414) = 0.807: of changes of twice and four times the error.
    expect(share(1)).toBeCloseTo(0.293, 1);
    expect(share(2)).toBeCloseTo(0.807, 1);
  });

  it('has its interval about the change, and turns round with the direction', () => {
    const figure = fc.double({ min: 1, max: 100, noNaN: true });
    fc.assert(
      fc.property(figure, figure, figure, (a, b, error) => {
        const up = verdict({ better: 'higher' }, at(0, a, error), at(30, b, error));
        const down = verdict({ better: 'lower' }, at(0, a, error), at(30, b, error));
        expect((up.interval.low + up.interval.high) / 2).toBeCloseTo(up.change, 6);
        expect(up.chance + down.chance).toBeCloseTo(1, 6);
        const turned = { 'real-gain': 'real-loss', 'probably-gain': 'probably-loss' } as Record<
          string,
          string
        >;
        expect(down.kind).toBe(
          turned[up.kind] ?? Object.entries(turned).find(([, to]) => to === up.kind)?.[0] ?? up.kind,
        );
      }),
    );
  });

  it('is sure where there is no error at all, and even where nothing changed', () => {
    expect(judge('higher', 1, 0)).toMatchObject({ kind: 'real-gain', chance: 1, smallestReal: 0 });
    expect(judge('higher', -1, 0)).toMatchObject({ kind: 'real-loss', chance: 0 });
    expect(judge('lower', -1, 0)).toMatchObject({ kind: 'real-gain', chance: 1 });
    expect(judge('higher', 0, 0)).toMatchObject({ kind: 'within-noise', chance: 0.5 });
  });

  it('says differences with the cuff in words of their own', () => {
    expect(englishOf(differenceWords('real-gain', 'higher'))).toBe('Really better with the cuff');
    expect(englishOf(differenceWords('probably-gain', 'lower'))).toBe('Probably better with the cuff');
    expect(englishOf(differenceWords('probably-loss', 'higher'))).toBe('Probably worse with the cuff');
    expect(englishOf(differenceWords('real-loss', 'neither'))).toBe('Really lower with the cuff');
    expect(englishOf(differenceWords('within-noise', 'neither'))).toBe('No difference to be seen');
  });

  it('is said in words first', () => {
    const real = verdict(girth, at(0, 50), at(56, 51.5));
    expect(englishOf(verdictWords(real.kind, 'higher'))).toBe('Real gain');
    expect(englishOf(verdictWords('real-gain', 'neither'))).toBe('Really risen');
    expect(englishOf(verdictWords('within-noise', 'neither'))).toBe('Within noise');
    expect(englishOf(chanceWords(real, 'higher'))).toBe('98 in 100 that it is better');
    expect(englishOf(chanceWords({ kind: 'probably-loss', chance: 0.2 }, 'lower'))).toBe(
      '80 in 100 that it is worse',
    );
    expect(englishOf(chanceWords({ kind: 'probably-loss', chance: 0.2 }, 'neither'))).toBe(
      '80 in 100 that it has fallen',
    );
    expect(englishOf(chanceWords({ kind: 'real-gain', chance: 0.9999 }, 'higher'))).toBe(
      '99 in 100 that it is better',
    );
    expect(englishOf(chanceWords({ kind: 'too-early', chance: 0.9 }, 'higher'))).toContain('third week');
    expect(englishOf(changeFigure(real, { unit: 'cm', decimals: 1 }))).toBe('+1.5 cm (+0.1 to +2.9)');
    expect(
      englishOf(
        changeFigure({ change: -2, interval: { low: -3.94, high: 0 } }, { unit: 'of 10', decimals: 0 }),
      ),
    ).toBe('−2.0 of 10 (−3.9 to 0.0)');
  });
});

describe('the typical error (OUT-2)', () => {
  const absolute = { error: { kind: 'absolute', value: 0.5 } } as const;
  const pairs = (count: number) =>
    Array.from({ length: count }, (_, i) => [50, i % 2 === 0 ? 51 : 49] as const);

  it('is the practice’s own from eight pairs on: the deviation of the differences ÷ √2', () => {
    expect(typicalError(absolute, pairs(7))).toEqual({ ...absolute.error, from: 'default', pairs: 7 });
    const own = typicalError(absolute, pairs(8));
    // Differences of ±1 about 0: √(8 ÷ 7) = 1.0690, ÷ √2 = 0.7559.
    expect(own).toMatchObject({ kind: 'absolute', from: 'own-repeats', pairs: 8 });
    expect(own.value).toBeCloseTo(0.75593, 5);
  });

  it('is of the first value where it is in %', () => {
    const percent = { error: { kind: 'percent', value: 3.5 } } as const;
    expect(errorInUnit(percent.error, 40)).toBeCloseTo(1.4, 6);
    expect(errorInUnit(absolute.error, 40)).toBe(0.5);
    const differences = Array.from(
      { length: 8 },
      (_, i) => (i % 2 === 0 ? [99, 101] : [101, 99]) as [number, number],
    );
    // ±2 of 100: 2 % × 1.0690 ÷ √2.
    expect(typicalError(percent, differences).value).toBeCloseTo(1.51186, 5);
  });

  it('does not believe repeats that never differ', () => {
    expect(
      typicalError(
        absolute,
        Array.from({ length: 9 }, () => [50, 50] as const),
      ).from,
    ).toBe('default');
  });
});

describe('symmetry (OUT-3), as worked by hand', () => {
  it('is weaker ÷ stronger on the log scale', () => {
    const one = symmetry({ value: 180, error: 9 }, { value: 200, error: 10 });
    // 0.9 × e^±(1.96 × √(0.05² + 0.05²)) = 0.9 × e^±0.13859
    expect(one).toMatchObject({ ratio: 0.9, weaker: 'left' });
    expect([one?.interval.low, one?.interval.high]).toEqual([
      expect.closeTo(0.78353, 4),
      expect.closeTo(1.03379, 4),
    ]);
    expect(symmetry({ value: 200, error: 10 }, { value: 180, error: 9 })?.weaker).toBe('right');
    expect(symmetry({ value: 200, error: 1 }, { value: 200, error: 1 })).toMatchObject({
      ratio: 1,
      weaker: 'equal',
    });
    expect(symmetry({ value: 0, error: 1 }, { value: 200, error: 1 })).toBeNull();
  });
});

describe('both sides of one occasion', () => {
  it('are the newest taken within three days of each other', () => {
    const pair = (left: number[], right: number[]) =>
      newestPair(
        left.map((days) => at(days, days)),
        right.map((days) => at(days, days)),
      )?.map(({ value }) => value);
    expect(pair([0, 30, 60], [0, 31])).toEqual([30, 31]);
    expect(pair([0, 60], [63])).toEqual([60, 63]);
    expect(pair([0, 60], [63.1])).toBeUndefined();
    expect(pair([], [1])).toBeUndefined();
  });
});

describe('rates (OUT-7)', () => {
  it.each([
    [1, 0.0253, 5.5716],
    [2, 0.2422, 7.2247],
    [5, 1.6235, 11.6683],
    [10, 4.7954, 18.3904],
    [100, 81.364, 121.6267],
    // By sums of logarithms, in double precision.
    [700, 649.0978, 753.8334],
    [1000, 938.973, 1063.9521],
    [5000, 4862.3592, 5140.5489],
  ])('have the exact interval of %i seen', (count, low, high) => {
    const interval = poissonInterval(count);
    expect(interval.low).toBeCloseTo(low, 3);
    expect(interval.high).toBeCloseTo(high, 3);
  });

  it('are per 1,000 inflations; none seen of n is at most 3/n', () => {
    expect(ratePer(2, 400)).toMatchObject({ kind: 'seen', per1000: 5 });
    expect(ratePer(0, 400)).toEqual({ kind: 'none', of: 400, atMostPer1000: 7.5 });
    expect(ratePer(0, 0)).toEqual({ kind: 'nothing-counted' });
  });

  it('hold the true mean in 95 of 100 and more, by another method', () => {
    const random = seededRandom(11);
    const poisson = (mean: number) => {
      let [count, product] = [0, random()];
      for (; product > Math.exp(-mean); product *= random()) count += 1;
      return count;
    };
    const inside = Array.from({ length: 2000 }, () => poissonInterval(poisson(4))).filter(
      ({ low, high }) => low <= 4 && high >= 4,
    ).length;
    expect(inside / 2000).toBeGreaterThanOrEqual(0.94);
    expect(normalBelow(1.959964)).toBeCloseTo(0.975, 5);
  });
});
