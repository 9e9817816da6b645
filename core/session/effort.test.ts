import fc from 'fast-check';
import { expect, it } from 'vitest';
import { englishOf } from '#language/english-of.fixture';
import { EFFORT_IN, EFFORT_SCALES, effortWords, likelyWords } from './effort';

it('keeps effort as 0 to 10 and gives back what was said, on every scale (RUN-2)', () => {
  for (const effortIn of EFFORT_IN) {
    const { said, toEffort, toSaid } = EFFORT_SCALES[effortIn];
    for (const one of said) {
      expect(toEffort(one)).toBeGreaterThanOrEqual(0);
      expect(toEffort(one)).toBeLessThanOrEqual(10);
      expect(toSaid(toEffort(one))).toBe(one);
    }
  }
});

it('says the same effort harder on no scale', () => {
  fc.assert(
    fc.property(fc.constantFrom(...EFFORT_IN), fc.nat(14), fc.nat(14), (effortIn, a, b) => {
      const { said, toEffort } = EFFORT_SCALES[effortIn];
      const [first, second] = [said[a], said[b]];
      if (first === undefined || second === undefined || first === second) return;
      const isHarder = effortIn === 'repetitions-left' ? first < second : first > second;
      expect(toEffort(first) > toEffort(second)).toBe(isHarder);
    }),
  );
});

it('takes four left for six of ten, and thirteen of twenty for the middle', () => {
  const { 'repetitions-left': left, 'six-to-twenty': twenty } = EFFORT_SCALES;
  expect([left.toEffort(0), left.toEffort(4)]).toEqual([10, 6]);
  expect([twenty.toEffort(6), twenty.toEffort(13), twenty.toEffort(15), twenty.toEffort(20)]).toEqual([
    0, 5, 6.43, 10,
  ]);
  expect([twenty.byKey(5), EFFORT_SCALES['of-ten'].byKey(5)]).toEqual([15, 5]);
  expect(englishOf(EFFORT_IN.map((effortIn) => effortWords(6.43, effortIn)))).toEqual([
    '6.4',
    '3.6 left',
    '15 of 20',
  ]);
});

it('says what is likely on the scale of the practice, and no more than can be felt', () => {
  expect(englishOf(EFFORT_IN.map((effortIn) => likelyWords(3, effortIn)))).toEqual([
    'effort about 7',
    'repetitions left about 3',
    'effort, 6–20, about 16',
  ]);
  expect(englishOf(likelyWords(11, 'of-ten'))).toBe('more than 10 repetitions left');
});
