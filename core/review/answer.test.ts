import { describe, expect, it } from 'vitest';
import { englishOf } from '#language/english-of.fixture';
import { msg } from '../message/message';
import { testPlan } from '../plan/plan.fixture';
import { limited, NO_LIMITS } from '../screening/clearance.fixture';
import type { ReviewAnswer } from '../session/events/values';
import { whyNotAnswer } from './answer';
import type { Change } from './change';

const { plan } = testPlan();
const advice = {
  rule: 'REV-3',
  change: { loadSteps: -1 },
  reason: msg('Set one was not finished.'),
} as const;
const answer = (changes: Partial<ReviewAnswer>): ReviewAnswer => ({
  exerciseIndex: 0,
  rule: 'REV-3',
  answer: 'accepted',
  change: { loadSteps: -1 },
  reason: '',
  ...changes,
});
const why = (changes: Partial<ReviewAnswer>, cap: number | null = null) =>
  whyNotAnswer(advice, answer(changes), { plan }, limited({ maxPercentLop: cap }));
const edited = (change: Change, reason = '') => why({ answer: 'edited', change, reason });

describe('an answer to a review (REV-10)', () => {
  it('accepts what is advised, and nothing else', () => {
    expect(why({})).toBeNull();
    expect(englishOf(why({ change: {} }))).toBe(
      'Knee extension: the review says load one step down, not hold. Look at it again.',
    );
    expect(englishOf(why({ change: { loadSteps: -1, pressurePoints: -5 } }))).toContain(
      'not pressure −5 points',
    );
    expect(englishOf(why({ rule: 'REV-6' }))).toBe(
      'Knee extension: the review says REV-3, not REV-6. Look at it again.',
    );
  });

  it('is edited as the rules allow, with a reason where it is harder', () => {
    expect(edited({ loadSteps: -2 })).toBeNull();
    expect(edited({ loadSteps: -1, pressurePoints: -10 })).toBeNull();
    expect(englishOf(edited({}))).toBe('Knee extension: this is harder than the review says. Say why.');
    expect(englishOf(edited({ loadSteps: -1, pressurePoints: 5 }))).toContain('harder');
    expect(edited({}, 'She slept badly')).toBeNull();
    expect(englishOf(edited({ pressurePoints: 50 }, 'She wants it'))).toContain('PRS-3');
    expect(englishOf(why({ answer: 'edited', change: {}, reason: 'As agreed' }, 30))).toContain('SCR-2');
  });

  it('is declined with a reason, never an empty one', () => {
    expect(englishOf(why({ answer: 'declined', change: {}, reason: '  ' }))).toContain('say why');
    expect(why({ answer: 'declined', change: {}, reason: 'Another week of it' })).toBeNull();
  });

  it('is of an exercise that was begun', () => {
    expect(englishOf(whyNotAnswer(undefined, answer({}), { plan }, NO_LIMITS))).toContain(
      'no set of this exercise was begun',
    );
  });
});
