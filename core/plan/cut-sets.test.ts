import { describe, expect, it } from 'vitest';
import { compile } from './compile';
import { cutSets, setsAtShare } from './cut-sets';
import { doseOf } from './dose';
import { testPlan } from './plan.fixture';

const { plan } = testPlan();

describe('a share of the sets (PRO-4)', () => {
  it('is the nearest whole of them, and never none', () => {
    expect([0.5, 0.6, 0.2, 0.8].map((share) => setsAtShare(4, share))).toEqual([2, 2, 1, 3]);
    expect(setsAtShare(3, 0.5)).toBe(2);
    expect(setsAtShare(1, 0.2)).toBe(1);
  });

  it('keeps the first sets, the way on after the exercise, and every pressure and load', () => {
    const cut = cutSets(plan, 0.5);
    const [was, is] = [plan.exercises[0], cut.exercises[0]];
    expect(is?.sets.map(({ work }) => work)).toEqual(was?.sets.slice(0, 2).map(({ work }) => work));
    expect(is?.sets.at(-1)).toMatchObject({ restMs: was?.sets.at(-1)?.restMs, release: true });
    expect([is?.limbs, is?.load]).toEqual([was?.limbs, was?.load]);
    const [whole, half] = [plan, cut].map((one) => doseOf(compile(one)));
    expect(half?.occludedMs).toBeLessThan(whole?.occludedMs ?? 0);
    expect(half?.limbs[0]?.totalOcclusionMs).toBeGreaterThan(0);
    expect(cutSets(plan, 1)).toEqual(plan);
  });
});
