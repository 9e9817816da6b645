import type { Adjunct } from '../protocol/adjunct';
import { toDecimals } from '../quantity/rounding';
import { RULES } from '../rules/catalogue';

/** How a girth at one place changed over a sitting, in cm; `isReal` where that is more than two measurements may differ by. */
export type SwellingChange = {
  where: string;
  beforeCm: number;
  afterCm: number;
  changeCm: number;
  isReal: boolean;
};

type Noted = { atMs: number; what: Adjunct; words: string; girthCm?: number | undefined };

/** Two girths of nothing that changed differ by less than this 95 times in 100, in cm (rule OUT-2). */
const SMALLEST_REAL_CM = 1.96 * Math.SQRT2 * RULES['OUT-1'].figures.girthErrorCm;

/**
 * Girths for swelling before the first set against those after it, at each place that has both: the last before, the last after.
 * @param workFromMs when the first set began
 * @example 38.0 cm before and 39.5 cm after, at an error of 0.5 cm: 1.5 of 1.39 //=> { changeCm: 1.5, isReal: true }
 */
export function swellingChanges(noted: readonly Noted[], workFromMs: number): SwellingChange[] {
  const girths = noted.filter(({ what, girthCm }) => what === 'swelling' && girthCm !== undefined);
  const places = [...new Set(girths.map(({ words }) => words.toLowerCase()))];
  return places.flatMap((place) => {
    const here = girths.filter(({ words }) => words.toLowerCase() === place);
    const before = here.findLast(({ atMs }) => atMs < workFromMs);
    const after = here.findLast(({ atMs }) => atMs >= workFromMs);
    if (before?.girthCm === undefined || after?.girthCm === undefined) return [];
    const changeCm = toDecimals(after.girthCm - before.girthCm, 1);
    return [
      {
        where: before.words,
        beforeCm: before.girthCm,
        afterCm: after.girthCm,
        changeCm,
        isReal: Math.abs(changeCm) >= SMALLEST_REAL_CM,
      },
    ];
  });
}
