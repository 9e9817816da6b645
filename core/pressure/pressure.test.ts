import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { checkExercisePercent, checkPassivePercent, checkPosition } from './check-pressure';
import { proposedPercent } from './newcomer-ramp';
import { primingPressures } from './priming';
import { rangeSensitivity } from './range-sensitivity';
import { targetPressure } from './target-pressure';

describe('targetPressure (PRS-1)', () => {
  it('rounds 60 % of 174 down to the gauge and shows its true range', () => {
    const { target, trueRange } = targetPressure({ value: 174, uncertainty: 5 }, 60, 2);
    expect(target.value).toBe(104);
    // (104 − 1) ÷ 179 and (104 + 1) ÷ 169
    expect(trueRange.interval).toEqual({ low: 57.5, high: 62.1 });
    expect(target.working.map(({ detail }) => detail).join()).toContain('174 mmHg × 60 % = 104.4 mmHg');
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
          expect(target.value).toBeLessThanOrEqual((value * percent) / 100 + 0.005);
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

  it('guards below 40 %, but allows arms 30 in graded start', () => {
    expect(levels('left-arm', 35, 'clinic')).toEqual(['PRS-3 guard']);
    expect(levels('left-arm', 30, 'graded-start')).toEqual([]);
    expect(levels('left-thigh', 35, 'graded-start')).toEqual(['PRS-3 guard']);
  });

  it('notes a share outside what the school works at', () => {
    expect(levels('left-arm', 60, 'clinic')).toEqual(['PRS-2 note']);
  });
});

describe('position (LOP-5)', () => {
  it('warns when more upright and guards when more reclined than measured', () => {
    expect(checkPosition('lying', 'sitting')).toMatchObject([{ level: 'note' }]);
    expect(checkPosition('standing', 'lying')).toMatchObject([{ level: 'guard', subject: 'position' }]);
    expect(checkPosition('sitting', 'sitting')).toEqual([]);
  });
});

describe('newcomer ramp (PRS-4)', () => {
  it('starts at the school’s start, climbs 5 points a week and stops at usual', () => {
    const weeks = [0, 1, 3, 4, 9].map(
      (week) => proposedPercent('left-thigh', 'research-consensus', week).value,
    );
    expect(weeks).toEqual([40, 45, 55, 60, 60]);
  });
});

describe('priming cycles (PRS-6)', () => {
  it('go from 60 % in steps of 20 mmHg to the target, never past it', () => {
    expect(primingPressures(104, 2)).toEqual([62, 82, 102, 104]);
    expect(primingPressures(40, 2)).toEqual([24, 40]);
    fc.assert(
      fc.property(fc.integer({ min: 20, max: 250 }), fc.constantFrom(1, 2, 5), (targetMmHg, division) => {
        const pressures = primingPressures(targetMmHg, division);
        expect(pressures.at(-1)).toBe(targetMmHg);
        expect(Math.max(...pressures)).toBe(targetMmHg);
      }),
    );
  });
});

describe('passive cycles (PRS-3)', () => {
  it('are refused above 100 % and noted below 70 %', () => {
    expect(checkPassivePercent(101)).toMatchObject([{ level: 'hard', fix: { to: 100 } }]);
    expect(checkPassivePercent(100)).toEqual([]);
    expect(checkPassivePercent(69)).toMatchObject([{ level: 'note', fix: { to: 70 } }]);
  });
});

describe('how the true range would change (LOP-3, PRS-1)', () => {
  const trial = { goneMmHg: 180, upMmHg: 10, backMmHg: 172, downMmHg: 4 };
  const measured = { pressureMmHg: 174, trials: [trial], readingSchool: 'bracket', divisionMmHg: 5 } as const;

  it('narrows with one more trial and with a finer gauge', () => {
    const [now, trialMore, finer] = rangeSensitivity(measured, 60, 1);
    const width = (row: typeof now) => (row ? row.high - row.low : Number.NaN);
    expect(now?.label).toBe('As measured');
    expect(width(trialMore)).toBeLessThan(width(now));
    expect(width(finer)).toBeLessThan(width(now));
  });

  it('offers no fourth trial and no gauge that is not finer', () => {
    expect(
      rangeSensitivity({ ...measured, trials: [trial, trial, trial], divisionMmHg: 1 }, 60, 1),
    ).toHaveLength(1);
  });
});
