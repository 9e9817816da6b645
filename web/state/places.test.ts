import { expect, it } from 'vitest';
import { ACTIONS } from './actions';
import { BENCH_LETTERS, keyWords, PLACES } from './places';

/** What is done after G without going anywhere: locking the device, and the theme. */
const TAKEN = Object.values(ACTIONS).flatMap(({ keys }) => (keys.startsWith('g>') ? keys.slice(2) : []));

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

it('writes a key as it is pressed', () => {
  expect(keyWords('o')).toBe('G O');
});
