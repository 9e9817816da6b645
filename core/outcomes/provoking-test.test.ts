import { expect, it } from 'vitest';
import { painChange } from './provoking-test';

const test = (atMs: number, painOfTen: number) => ({ atMs, what: 'provoking-test' as const, painOfTen });

it('sets the last provoking test before the work against the last after it', () => {
  expect(painChange([test(1, 7), test(2, 6), test(200, 4), test(300, 3)], 100)).toEqual({
    before: 6,
    after: 3,
    isReal: true,
  });
  expect(painChange([test(1, 4), test(200, 3)], 100)).toMatchObject({ isReal: false });
  expect(painChange([test(1, 4), test(200, 6)], 100)).toMatchObject({ isReal: true });
});

it('is none with one of them alone, or of other adjuncts', () => {
  expect(painChange([test(1, 7)], 100)).toBeNull();
  expect(painChange([{ atMs: 1, what: 'ice' }, test(200, 3)], 100)).toBeNull();
});
