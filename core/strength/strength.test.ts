import { describe, expect, it } from 'vitest';
import { englishOf } from '#language/english-of.fixture';
import { FORMULA_NAMES, ONE_REP_MAX_FORMULAS } from './formulas';
import { checkRepsToFailure, oneRepMax, strengthTestSchema } from './one-rep-max';

describe('one-repetition maximum (LOAD-1)', () => {
  it.each([
    ['Epley', 40],
    ['Brzycki', 40],
    ['Lombardi', 37.77],
    ['O’Conner', 37.5],
    ['Mayhew', 39.28],
    ['Wathen', 40.42],
    ['Lander', 40.23],
  ] as const)('%s estimates 30 kg × 10 at %d kg', (name, kg) => {
    expect(ONE_REP_MAX_FORMULAS[name](30, 10)).toBeCloseTo(kg, 1);
  });

  it('takes the median of the seven and shows the least and the most', () => {
    const result = oneRepMax({ loadKg: 30, reps: 10 });
    expect(result.value).toBe(40);
    expect(result.interval?.low).toBeCloseTo(37.5, 1);
    expect(result.interval?.high).toBeCloseTo(40.4, 1);
    expect(result.working).toHaveLength(2 + FORMULA_NAMES.length);
  });

  it('takes a single repetition at its word', () => {
    expect(englishOf(oneRepMax({ loadKg: 42.5, reps: 1 }))).toMatchObject({ value: 42.5, rules: ['LOAD-1'] });
  });

  it('notes repetitions outside 3 to 10 and refuses more than 15', () => {
    expect(checkRepsToFailure(8)).toEqual([]);
    expect(englishOf(checkRepsToFailure(12))).toMatchObject([{ level: 'note', subject: 'reps' }]);
    expect(() => oneRepMax({ loadKg: 10, reps: 40 })).toThrow(/1 to 15/);
    const parsed = strengthTestSchema.safeParse({ loadKg: 10, reps: 40 });
    expect(parsed.error?.issues[0]).toMatchObject({ path: ['reps'] });
    expect(parsed.error?.issues[0]?.message).toMatch(/heavier load/);
  });
});
