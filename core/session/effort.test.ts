import { expect, it } from 'vitest';
import { effortWords, turned } from './effort';

it('takes repetitions left for effort, ten less those, and back (RUN-2)', () => {
  for (let value = 0; value <= 10; value += 1) {
    expect(turned(turned(value, 'repetitions-left'), 'repetitions-left')).toBe(value);
    expect(turned(value, 'of-ten')).toBe(value);
  }
  expect([turned(0, 'repetitions-left'), turned(4, 'repetitions-left')]).toEqual([10, 6]);
  expect([effortWords(8, 'repetitions-left'), effortWords(8, 'of-ten')]).toEqual(['2 left', '8']);
});
