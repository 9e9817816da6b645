import { expect, it } from 'vitest';
import { afterG, BENCH_LETTERS, keyWords, PLACES } from './places';

/** Bound by themselves: locking the device, and the theme. */
const TAKEN = ['q', 'd'];

it('gives every letter after G one meaning', () => {
  const letters = [
    ...PLACES.flatMap(({ letter }) => letter ?? []),
    ...Object.values(BENCH_LETTERS),
    ...TAKEN,
  ];
  expect(new Set(letters).size).toBe(letters.length);
  expect(letters.every((letter) => /^[a-z]$/.test(letter))).toBe(true);
});

it('leads to every place once', () => {
  const ways = PLACES.map(({ to }) => to);
  expect(new Set(ways).size).toBe(ways.length);
});

it('is bound as it is written', () => {
  expect([afterG(['o', 'a']), keyWords('o')]).toEqual(['g>o,g>a', 'G O']);
});
