import { describe, expect, it } from 'vitest';
import { CAREFUL, simulateTrial } from './operator';
import { limbUnderTraps, makePracticeCase } from './practice-case';
import { type PracticeAnswer, scorePractice } from './practice-score';

const CASES = Array.from({ length: 600 }, (_, seed) => makePracticeCase(seed));

describe('a case to practise on', () => {
  it('is the same for its seed, of any limb and position, with girths over the whole of what is usual', () => {
    expect(makePracticeCase(7)).toEqual(makePracticeCase(7));
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

  it('has each trap in about three of ten, two at most, and a cuff of the wrong size says so', () => {
    const share = (trap: string) =>
      CASES.filter(({ traps }) => traps.some((one) => one === trap)).length / CASES.length;
    expect(share('volume-down')).toBeGreaterThan(0.24);
    expect(share('volume-down')).toBeLessThan(0.36);
    expect(Math.max(...CASES.map(({ traps }) => traps.length))).toBe(2);
    for (const { traps, girthCm, cuffRangeCm } of CASES) {
      expect(cuffRangeCm).toEqual(
        traps.includes('wrong-size')
          ? { low: girthCm - 16, high: girthCm - 2 }
          : { low: girthCm - 6, high: girthCm + 8 },
      );
    }
  });

  it('needs 18 more under a loose cuff, and an eighth more under one of the wrong size', () => {
    const [first] = CASES;
    if (!first) throw new Error('No case.');
    const truth = first.simulated.occlusionMmHg;
    const under = (...traps: Parameters<typeof limbUnderTraps>[1]) =>
      limbUnderTraps(first, traps).occlusionMmHg;
    expect(under()).toBe(truth);
    expect(under('loose-cuff')).toBe(truth + 18);
    expect(under('wrong-size')).toBeCloseTo(truth * 1.12, 9);
    expect(under('wrong-size', 'loose-cuff')).toBeCloseTo(truth * 1.12 + 18, 9);
    expect(under('talking', 'volume-down')).toBe(truth);
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
    score(changes).lost.map(({ words, points }) => `${points}: ${words}`);

  it('loses nothing within four, twenty above and three minutes', () => {
    expect(score()).toMatchObject({
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

describe('an operator', () => {
  const still = { occlusionMmHg: 150, heartRateBpm: 60, fadeMmHg: 10, breathMmHg: 0 };

  it('reads the first step without a pulse, and the first with one again', () => {
    expect(simulateTrial(still, CAREFUL)).toEqual({ goneMmHg: 150, upMmHg: 10, backMmHg: 146, downMmHg: 4 });
    expect(simulateTrial({ ...still, occlusionMmHg: 151 }, CAREFUL)).toMatchObject({
      goneMmHg: 160,
      backMmHg: 148,
    });
    // One who hears only a strong pulse is early going up and late coming down, and never below nothing.
    expect(simulateTrial(still, { ...CAREFUL, noticesFrom: 0.5 })).toMatchObject({
      goneMmHg: 150,
      backMmHg: 142,
    });
    expect(simulateTrial(still, { ...CAREFUL, noticesFrom: 1 })).toMatchObject({ goneMmHg: 0, backMmHg: 0 });
  });
});
