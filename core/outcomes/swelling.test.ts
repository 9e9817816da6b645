import { expect, it } from 'vitest';
import { swellingChanges } from './swelling';

const girth = (atMs: number, words: string, girthCm: number) => ({
  atMs,
  what: 'swelling' as const,
  words,
  girthCm,
});

it('compares the last girth before the work with the last after it, place by place (OUT-2)', () => {
  const noted = [
    girth(10, 'Left, mid-kneecap', 37),
    girth(20, 'Left, mid-kneecap', 38),
    girth(21, 'Right, mid-kneecap', 37.5),
    girth(22, 'Left calf', 34),
    { atMs: 30, what: 'ice' as const, words: 'ten minutes' },
    girth(900, 'left, mid-kneecap', 39.5),
    girth(901, 'Right, mid-kneecap', 38.8),
  ];
  expect(swellingChanges(noted, 100)).toEqual([
    { where: 'Left, mid-kneecap', beforeCm: 38, afterCm: 39.5, changeCm: 1.5, isReal: true },
    // 1.3 is within 1.96 × √2 × 0.5 = 1.39.
    { where: 'Right, mid-kneecap', beforeCm: 37.5, afterCm: 38.8, changeCm: 1.3, isReal: false },
  ]);
  expect(swellingChanges(noted, 5)).toEqual([]);
});
