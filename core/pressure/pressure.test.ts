import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { englishOf } from '#language/english-of.fixture';
import { inEnglish } from '#language/render';
import { NOTHING_SEEN } from '../occlusion-pressure/practice-spread';
import { checkExercisePercent, checkPassivePercent, checkPosition } from './check-pressure';
import { primingMs, primingPressures, USUAL_PRIMING } from './priming';
import { proposedPercent, type RampSession, rampLevel } from './ramp';
import { rangeSensitivity } from './range-sensitivity';
import { percentOf, targetPressure } from './target-pressure';

describe('targetPressure (PRS-1)', () => {
  it('rounds 60 % of 174 down to the gauge and shows its true range', () => {
    const { target, trueRange } = targetPressure({ value: 174, uncertainty: 5 }, 60, 2);
    expect(target.value).toBe(104);
    // (104 − 1) ÷ 179 and (104 + 1) ÷ 169
    expect(trueRange.interval).toEqual({ low: 57.5, high: 62.1 });
    expect(
      target.working
        .map(({ detail }) => detail)
        .map(inEnglish)
        .join(),
    ).toContain('174 mmHg × 60 % = 104.4 mmHg');
  });

  it('floors the exact product, never a rounded one', () => {
    // 98.3 × 59 % = 57.997
    expect(targetPressure({ value: 98.3, uncertainty: 3 }, 59, 1).target.value).toBe(57);
  });

  it('stops where the true range would pass 100 % (PRS-3)', () => {
    // 174 − 5 − 1 = 168, and (168 + 1) ÷ 169 is 100 %.
    const { target, trueRange } = targetPressure({ value: 174, uncertainty: 5 }, 100, 2);
    expect(target.value).toBe(168);
    expect(trueRange.interval?.high).toBe(100);
  });

  it('is truly less where it is used more upright than measured (LOP-5)', () => {
    // (104 − 1) ÷ (174 + 5 + 45)
    const upright = targetPressure({ value: 174, uncertainty: 5, uprightAddsMmHg: 45 }, 60, 2);
    expect(upright.trueRange.interval).toEqual({ low: 46, high: 62.1 });
  });

  it('never exceeds the share asked for, and its range holds the true share', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 80, max: 300, noNaN: true }),
        fc.integer({ min: 1, max: 20 }),
        fc.integer({ min: 30, max: 80 }),
        fc.constantFrom(1, 2, 5, 10),
        (value, uncertainty, percent, division) => {
          const { target, trueRange } = targetPressure({ value, uncertainty }, percent, division);
          expect(target.value).toBeLessThanOrEqual((value * percent) / 100 + 1e-6);
          expect(trueRange.interval?.high).toBeLessThanOrEqual(100);
          expect(trueRange.interval?.low).toBeLessThanOrEqual(trueRange.value);
          expect(trueRange.interval?.high).toBeGreaterThanOrEqual(trueRange.value);
        },
      ),
    );
  });
});

describe('pressure limits (PRS-2, PRS-3)', () => {
  const levels = (...args: Parameters<typeof checkExercisePercent>) =>
    checkExercisePercent(...args).map(({ rule, level }) => `${rule} ${level}`);

  it('refuses anything above 80 %', () => {
    expect(levels('left-thigh', 81, 'clinic')).toEqual(['PRS-3 hard']);
    expect(levels('left-thigh', 80, 'clinic')).toEqual([]);
  });

  it('notes less than 40 %, 30 for arms in graded start, and nothing where a cap set it', () => {
    expect(levels('left-arm', 35, 'clinic')).toEqual(['PRS-3 note']);
    expect(levels('left-arm', 30, 'graded-start')).toEqual([]);
    expect(levels('left-thigh', 35, 'graded-start')).toEqual(['PRS-3 note']);
    expect(levels('left-thigh', 35, 'clinic', { capPercentLop: 35 })).toEqual([]);
    expect(levels('left-thigh', 35, 'clinic', { capPercentLop: 60 })).toEqual(['PRS-3 note']);
  });

  it('guards above the school’s top and the ramp, whatever the protocol, and notes less than its start', () => {
    expect(levels('left-arm', 60, 'clinic')).toEqual(['PRS-3 guard']);
    // No remedy leads past the ramp or a cap: where they bind, their figure is what the protocol is done at.
    const warmUp = { low: 60, high: 60 };
    expect(
      levels('left-thigh', 40, 'research-consensus', { byProtocol: warmUp, rampPercentLop: 40 }),
    ).toEqual([]);
    expect(levels('left-thigh', 50, 'clinic', { byProtocol: warmUp, capPercentLop: 50 })).toEqual([]);
    expect(levels('left-thigh', 50, 'clinic', { capPercentLop: 50 })).toEqual([]);
    expect(levels('left-thigh', 45, 'research-consensus', { byProtocol: warmUp })).toEqual(['PRS-2 note']);
    const byProtocol = { usual: 60, low: 40, high: 80 };
    expect(levels('left-arm', 60, 'clinic', { byProtocol })).toEqual(['PRS-3 guard']);
    expect(levels('left-thigh', 60, 'clinic', { rampPercentLop: 55 })).toEqual(['PRS-4 guard']);
    expect(levels('left-thigh', 50, 'clinic')).toEqual(['PRS-2 note']);
  });
});

describe('position (LOP-5)', () => {
  it('notes when more upright and refuses when more reclined than measured', () => {
    expect(englishOf(checkPosition('lying', 'sitting'))).toMatchObject([{ level: 'note' }]);
    expect(englishOf(checkPosition('standing', 'lying'))).toMatchObject([
      { level: 'hard', subject: 'position' },
    ]);
    expect(checkPosition('sitting', 'sitting')).toEqual([]);
  });
});

describe('the ramp (PRS-4)', () => {
  const DAY = 86_400_000;
  const on = (...days: number[]): RampSession[] =>
    days.map((day) => ({ atMs: day * DAY, day, kinds: ['leg'], tolerated: true }));
  const level = (done: readonly RampSession[], day: number) =>
    rampLevel(done, 'leg', 'research-consensus', day);
  const levels = (done: readonly RampSession[], ...days: number[]) =>
    days.map((day) => level(done, day).percentLop);

  it('starts at the school’s start and rises once in each seven days trained, to the usual', () => {
    // Worked by hand: from 40, weeks turn on days 7, 14, 21 and 28.
    const done = on(0, 3, 7, 10, 14, 17, 21, 24, 28);
    expect(levels(done.slice(0, 2), 0, 6, 7)).toEqual([40, 40, 45]);
    expect(levels(done, 28, 30)).toEqual([60, 60]);
    expect(englishOf(level(done, 24))).toMatchObject({ percentLop: 55, running: true });
    expect(englishOf(level(done, 28))).toMatchObject({ percentLop: 60, running: false });
    expect(englishOf(level([], 9))).toMatchObject({ percentLop: 40, running: true });
  });

  it('gives one rise for a gap, none for the weeks missed in it, and none after a session not tolerated', () => {
    expect(levels(on(0, 17), 17, 20)).toEqual([45, 45]);
    const bad = [...on(0), { atMs: 3 * DAY, day: 3, kinds: ['leg'] as const, tolerated: false }];
    expect(levels(bad, 8)).toEqual([40]);
  });

  it('begins again 10 points lower after 21 days off, and at the start after 42', () => {
    const four = on(0, 7, 14, 21, 28);
    expect(levels(four, 28 + 20, 28 + 21, 28 + 41, 28 + 42)).toEqual([60, 50, 50, 40]);
    // The weeks are counted again from the first session after it.
    expect(levels([...four, ...on(50)], 50, 56, 57)).toEqual([50, 50, 55]);
    expect(levels(on(0, 22), 22)).toEqual([40]);
  });

  it('is counted for arms and legs apart, and proposes no more than a cap', () => {
    const legs = on(0, 7, 14, 21, 28);
    expect(rampLevel(legs, 'arm', 'clinic', 30).percentLop).toBe(40);
    expect(proposedPercent('left-thigh', 'research-consensus', legs, 30).value).toBe(60);
    expect(proposedPercent('left-thigh', 'research-consensus', legs, 30, 45).value).toBe(45);
  });
});

describe('a target said in mmHg (PRS-1)', () => {
  it('comes to a share of LOP that makes the same pressure, on any gauge', () => {
    expect(percentOf(80, 174)).toBe(46);
    fc.assert(
      fc.property(
        fc.integer({ min: 80, max: 260 }),
        fc.constantFrom(1, 2, 5, 10),
        fc.double({ min: 0.1, max: 0.8, noNaN: true }),
        (lopMmHg, division, share) => {
          const mmHg = Math.floor((lopMmHg * share) / division) * division;
          const { target } = targetPressure(
            { value: lopMmHg, uncertainty: 0 },
            percentOf(mmHg, lopMmHg),
            division,
          );
          expect(target.value).toBe(mmHg);
        },
      ),
    );
  });
});

describe('priming cycles (PRS-6)', () => {
  it('go from 60 % in steps of 20 mmHg to the target, never past it', () => {
    expect(primingPressures(104, 2)).toEqual([62, 82, 102, 104]);
    expect(primingPressures(40, 2)).toEqual([24, 40]);
    // No cycle at nothing, where the start is under the division.
    expect(primingPressures(15, 10)).toEqual([10, 15]);
    expect(primingPressures(5, 5)).toEqual([5]);
    fc.assert(
      fc.property(fc.integer({ min: 20, max: 250 }), fc.constantFrom(1, 2, 5), (targetMmHg, division) => {
        const pressures = primingPressures(targetMmHg, division);
        expect(pressures.at(-1)).toBe(targetMmHg);
        expect(Math.max(...pressures)).toBe(targetMmHg);
      }),
    );
  });

  it('take a start, a step and times of their own, and rise with every cycle', () => {
    const from = (mmHg: number, stepMmHg: number) => ({
      ...USUAL_PRIMING,
      start: { of: 'nothing' as const, mmHg },
      stepMmHg,
    });
    expect(primingPressures(104, 2, from(75, 15))).toEqual([74, 89, 104].map((mmHg) => mmHg - (mmHg % 2)));
    expect(primingPressures(104, 2, from(120, 15))).toEqual([104]);
    expect(primingPressures(60, 10, from(45, 5))).toEqual([40, 50, 60]);
    expect(primingMs(3, { onMs: 20_000, offMs: 5_000 })).toBe(75_000);
    fc.assert(
      fc.property(
        fc.integer({ min: 20, max: 250 }),
        fc.constantFrom(1, 2, 5, 10),
        fc.integer({ min: 10, max: 300 }),
        fc.integer({ min: 5, max: 100 }),
        (targetMmHg, division, mmHg, stepMmHg) => {
          const pressures = primingPressures(targetMmHg, division, from(mmHg, stepMmHg));
          expect(pressures.at(-1)).toBe(targetMmHg);
          expect(pressures.every((one, place) => place === 0 || one > (pressures[place - 1] ?? 0))).toBe(
            true,
          );
        },
      ),
    );
  });
});

describe('passive cycles (PRS-3)', () => {
  it('are refused above 100 % and noted below 70 %', () => {
    expect(englishOf(checkPassivePercent(101))).toMatchObject([{ level: 'hard', fix: { to: 100 } }]);
    expect(checkPassivePercent(100)).toEqual([]);
    expect(englishOf(checkPassivePercent(69))).toMatchObject([{ level: 'note', fix: { to: 70 } }]);
  });
});

describe('how the true range would change (LOP-3, PRS-1)', () => {
  const trial = { goneMmHg: 180, upMmHg: 10, backMmHg: 172, downMmHg: 4 };
  const measured = {
    pressureMmHg: 174,
    trials: [trial],
    readingSchool: 'bracket',
    method: 'doppler',
    divisionMmHg: 5,
    gaugeErrorMmHg: null,
    uncertaintyMmHg: 21,
  } as const;

  it('narrows with one more trial and with a finer gauge', () => {
    const [now, trialMore, finer] = rangeSensitivity(measured, 60, { divisionMmHg: 1 }, NOTHING_SEEN);
    const width = (row: typeof now) => (row ? row.high - row.low : Number.NaN);
    expect(englishOf(now?.label)).toBe('As measured');
    expect(width(trialMore)).toBeLessThan(width(now));
    expect(width(finer)).toBeLessThan(width(now));
  });

  it('offers no fourth trial and no gauge that is not finer', () => {
    expect(
      rangeSensitivity(
        { ...measured, trials: [trial, trial, trial], divisionMmHg: 1 },
        60,
        { divisionMmHg: 1 },
        NOTHING_SEEN,
      ),
    ).toHaveLength(1);
  });
});
