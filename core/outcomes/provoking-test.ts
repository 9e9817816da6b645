import type { Adjunct } from '../protocol/adjunct';
import { RULES } from '../rules/catalogue';

/** Pain on the provoking test before the cuff and after it, 0 to 10; `isReal` where they differ by more than two answers may. */
export type PainChange = { before: number; after: number; isReal: boolean };

type Noted = { atMs: number; what: Adjunct; painOfTen?: number | undefined };

/** Two answers about a pain that did not change differ by less than this 95 times in 100 (rule OUT-2). */
const SMALLEST_REAL = 1.96 * Math.SQRT2 * RULES['OUT-1'].figures.painError;

/**
 * The last provoking test before the first set against the last after it; `null` where either was not done.
 * @param workFromMs when the first set began
 * @example 6 before and 3 after, at an error of 0.7: 3 of 1.94 //=> { before: 6, after: 3, isReal: true }
 */
export function painChange(noted: readonly Noted[], workFromMs: number): PainChange | null {
  const tests = noted.filter(({ what }) => what === 'provoking-test');
  const before = tests.findLast(({ atMs }) => atMs < workFromMs)?.painOfTen;
  const after = tests.findLast(({ atMs }) => atMs >= workFromMs)?.painOfTen;
  if (before === undefined || after === undefined) return null;
  return { before, after, isReal: Math.abs(after - before) >= SMALLEST_REAL };
}
