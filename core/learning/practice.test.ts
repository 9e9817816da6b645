import { describe, expect, it } from 'vitest';
import { englishOf } from '#language/english-of.fixture';
import { inEnglish } from '#language/render';
import { pulseMethodSchema } from '../occlusion-pressure/methods';
import { agreementOf } from './agreement';
import { limbUnderTraps, makePracticeCase, type PracticeWish, trapsFor } from './practice-case';
import { type PracticeAnswer, scorePractice } from './practice-score';

const WISHES: PracticeWish[] = pulseMethodSchema.options.map((method) => ({ method, limbs: 'any' }));
const casesOf = (wish: PracticeWish, count = 400) =>
  Array.from({ length: count }, (_, seed) => makePracticeCase(seed, wish));
const CASES = casesOf({ method: 'doppler', limbs: 'any' }, 600);

describe('a case to practise on', () => {
  it('is the same for its seed, of any limb and position, with girths over the whole of what is usual', () => {
    expect(makePracticeCase(7, { method: 'doppler', limbs: 'any' })).toEqual(CASES[7]);
    expect(new Set(CASES.map(({ limb }) => limb)).size).toBe(4);
    expect(new Set(CASES.map(({ position }) => position)).size).toBe(3);
    for (const [kind, low, high, widthCm] of [
      ['arm', 26, 38, 8.5],
      ['thigh', 48, 66, 11.5],
    ] as const) {
      const of = CASES.filter(({ limb }) => limb.endsWith(kind));
      const girths = of.map(({ girthCm }) => girthCm);
      expect([Math.min(...girths), Math.max(...girths)]).toEqual([low, high]);
      expect(new Set(of.map((one) => one.widthCm))).toEqual(new Set([widthCm]));
    }
    // The case and its limb are drawn apart, of blood pressures from 108 to 142.
    const expected = CASES.map(({ simulated }) => simulated.occlusionMmHg);
    expect(new Set(expected).size).toBeGreaterThan(550);
  });

  it('is of the limbs asked for, and of arms for an oximeter whatever is asked (LOP-1)', () => {
    expect(new Set(casesOf({ method: 'palpation', limbs: 'leg' }).map(({ limb }) => limb))).toEqual(
      new Set(['left-thigh', 'right-thigh']),
    );
    expect(new Set(casesOf({ method: 'oximeter', limbs: 'leg' }).map(({ limb }) => limb))).toEqual(
      new Set(['left-arm', 'right-arm']),
    );
  });

  it.each(WISHES)('brings every trap there can be by $method, none there cannot, and two at most', (wish) => {
    const cases = casesOf(wish);
    const possible = new Set(cases.flatMap(trapsFor));
    const shares = new Map(
      [...possible].map((trap) => {
        const possibleIn = cases.filter((one) => trapsFor(one).includes(trap));
        return [
          trap,
          possibleIn.filter(({ traps }) => traps.includes(trap)).length / possibleIn.length,
        ] as const;
      }),
    );
    for (const [, share] of shares) {
      expect(share).toBeGreaterThan(0.17);
      expect(share).toBeLessThan(0.36);
    }
    expect(new Set(cases.flatMap(({ traps }) => traps))).toEqual(possible);
    expect(Math.max(...cases.map(({ traps }) => traps.length))).toBe(2);
    for (const one of cases) expect(trapsFor(one)).toEqual(expect.arrayContaining(one.traps));
  });

  it('has a probe only where there is one, a knee only on legs, and a pump that misreads by 15 to 30', () => {
    expect(trapsFor({ method: 'palpation', limb: 'left-thigh' })).toEqual([
      'loose-cuff',
      'wrong-size',
      'bent-limb',
      'gauge-not-at-zero',
    ]);
    expect(trapsFor({ method: 'automatic-pump', limb: 'right-arm' })).toEqual([
      'volume-down',
      'loose-cuff',
      'wrong-size',
      'talking',
      'pump-misreads',
    ]);
    const sizes = CASES.map(({ misreadMmHg }) => Math.abs(misreadMmHg));
    expect([Math.min(...sizes), Math.max(...sizes)]).toEqual([15, 30]);
  });

  it('shows a range that leaves the girth out where the cuff is of the wrong size', () => {
    for (const { traps, girthCm, cuffRangeCm } of CASES) {
      expect(cuffRangeCm).toEqual(
        traps.includes('wrong-size')
          ? { low: girthCm - 16, high: girthCm - 2 }
          : { low: girthCm - 6, high: girthCm + 8 },
      );
    }
  });

  it('needs 18 more under a loose cuff, ten behind a bent knee, and an eighth more under one of the wrong size', () => {
    const [first] = CASES;
    if (!first) throw new Error('No case.');
    const truth = first.simulated.occlusionMmHg;
    const under = (...traps: Parameters<typeof limbUnderTraps>[1]) =>
      limbUnderTraps(first, traps).occlusionMmHg;
    expect(under()).toBe(truth);
    expect(under('loose-cuff')).toBe(truth + 18);
    expect(under('bent-limb')).toBe(truth + 10);
    expect(under('wrong-size')).toBeCloseTo(truth * 1.12, 9);
    expect(under('wrong-size', 'loose-cuff')).toBeCloseTo(truth * 1.12 + 18, 9);
    expect(under('talking', 'volume-down', 'gauge-not-at-zero', 'pump-misreads')).toBe(truth);
  });
});

describe('an attempt', () => {
  const [case1] = CASES;
  if (!case1) throw new Error('No case.');
  const truth = {
    ...case1,
    simulated: { ...case1.simulated, occlusionMmHg: 150 },
    traps: ['talking' as const],
  };
  const score = (changes: Partial<PracticeAnswer> = {}) =>
    scorePractice(truth, {
      statedMmHg: 150,
      highestMmHg: 170,
      elapsedMs: 180_000,
      noticed: ['talking'],
      ...changes,
    });
  const lost = (changes: Partial<PracticeAnswer>) =>
    score(changes).lost.map(({ words, points }) => `${points}: ${inEnglish(words)}`);

  it('loses nothing within four, twenty above and three minutes', () => {
    expect(englishOf(score())).toMatchObject({
      points: 100,
      lost: [],
      errorMmHg: 0,
      overMmHg: 20,
      missed: [],
      falseAlarms: [],
    });
    expect(lost({ statedMmHg: 154 })).toEqual([]);
    expect(lost({ statedMmHg: 146 })).toEqual([]);
    expect(score({ highestMmHg: 100 }).overMmHg).toBe(0);
  });

  it('says where points went', () => {
    expect(lost({ statedMmHg: 160 })).toEqual(['15: 10 mmHg over the true pressure']);
    expect(lost({ statedMmHg: 138 })).toEqual(['20: 12 mmHg under the true pressure']);
    expect(lost({ highestMmHg: 190 })).toEqual(['10: inflated 40 mmHg above what was needed']);
    expect(lost({ elapsedMs: 240_000 })).toEqual(['5: slower than three minutes']);
    expect(lost({ elapsedMs: 3_600_000 })).toEqual(['15: slower than three minutes']);
    expect(lost({ noticed: [] })).toEqual(['15: 1 trap missed']);
    expect(lost({ noticed: ['talking', 'loose-cuff'] })).toEqual(['5: 1 false alarm']);
    expect(score({ statedMmHg: 300 }).points).toBe(0);
  });
});

describe('agreement of two operators', () => {
  it('is the mean of the differences and where 95 of 100 of them lie', () => {
    expect(agreementOf([])).toBeNull();
    expect(agreementOf([6])).toEqual({ cases: 1, meanMmHg: 6, limits: 'too few cases' });
    expect(agreementOf([4, -2])).toMatchObject({ meanMmHg: 1, limits: 'too few cases' });
    // Mean 2, standard deviation √12 = 3.464: 2 ± 6.79.
    expect(agreementOf([4, -2, 4])).toEqual({
      cases: 3,
      meanMmHg: 2,
      limits: { lowMmHg: -4.8, highMmHg: 8.8 },
    });
  });
});
