import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { checkExercisePercent, checkPosition } from './check-pressure';
import { proposedPercent } from './newcomer-ramp';
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
