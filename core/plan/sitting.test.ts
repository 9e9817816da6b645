import { describe, expect, it } from 'vitest';
import { englishOf } from '#language/english-of.fixture';
import { nextSession } from '../review/next-session';
import { choicesOf } from './choices-of';
import { composeSession } from './compose';
import { draftSession } from './draft/draft-session';
import { testWish } from './draft/draft-wish.fixture';
import { testBasis, testExercise } from './plan.fixture';
import { planChanges } from './plan-changes';
import { isPlan } from './versions/plan-schema';

const basis = testBasis();
const FINISHER = {
  goal: 'size' as const,
  schoolId: 'research-consensus' as const,
  exercises: [testExercise()],
  sitting: [
    { when: 'before' as const, what: 'heavy-lift' as const, words: 'back squat 3 × 5' },
    { when: 'after' as const, what: 'ice' as const, words: '' },
  ],
};

describe('a sitting', () => {
  it('goes from the choices into the plan, back, and on to the next session (PRO-4)', () => {
    const { plan } = composeSession(FINISHER, basis);
    expect(plan.sitting).toEqual(FINISHER.sitting);
    expect(isPlan(JSON.parse(JSON.stringify(plan)))).toBe(true);
    expect(choicesOf(plan).sitting).toEqual(FINISHER.sitting);
    expect(nextSession(plan, [], basis).session?.sitting).toEqual(FINISHER.sitting);
  });

  it('is a change of the plan, in words', () => {
    const { sitting: _, ...alone } = FINISHER;
    const [without, withIt] = [composeSession(alone, basis).plan, composeSession(FINISHER, basis).plan];
    expect(choicesOf(without)).not.toHaveProperty('sitting');
    expect(englishOf(planChanges(without, withIt))).toEqual([
      'Adjuncts: nothing → before it a heavy lift: back squat 3 × 5, after it ice.',
    ]);
    expect(planChanges(withIt, withIt)).toEqual([]);
  });

  it('of a warm-up has the heavy lift after it', () => {
    expect(draftSession(testWish({ goal: 'warm-up' }), basis).session?.sitting).toEqual([
      { when: 'after', what: 'heavy-lift', words: '' },
    ]);
    expect(draftSession(testWish({ goal: 'size' }), basis).session).not.toHaveProperty('sitting');
  });
});
