import { describe, expect, it } from 'vitest';
import { englishOf } from '#language/english-of.fixture';
import { inEnglish } from '#language/render';
import { testPlan } from './plan.fixture';
import { cuffUpMinutes, whatToExpect } from './what-to-expect';

describe('what a person reads about their plan', () => {
  it('has the pressure and what it is a share of, and one line a set', () => {
    const { plan } = testPlan();
    const [first] = whatToExpect(plan);
    const [exercise] = plan.exercises;
    const target = exercise?.limbs[0];
    if (target?.kind !== 'measured') throw new Error('The test plan is of a measured limb.');
    expect(first?.heading).toBe(exercise?.label);
    expect(englishOf(first?.lines[0])).toContain(
      `${target.pressure.value} mmHg, about ${target.percentLop} %`,
    );
    expect(first?.lines.filter((line) => inEnglish(line).startsWith('Set '))).toHaveLength(
      exercise?.sets.length ?? 0,
    );
    expect(cuffUpMinutes(plan)).toBeGreaterThan(4);
  });
});
