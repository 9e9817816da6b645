import { tidy } from './rounding';

/** The sum of what is known; null when nothing is. @example sumKnown([1, null, 2]) //=> 3 */
export function sumKnown(amounts: readonly (number | null)[]): number | null {
  const known = amounts.filter((amount) => amount !== null);
  return known.length === 0 ? null : tidy(known.reduce((sum, amount) => sum + amount, 0));
}
