/** A closed range of one unit; the caller says which. */
export type Interval = { low: number; high: number };

/**
 * What two ranges have in common, or `null` when they have nothing in common.
 * Ranges that only touch at an end count as disjoint: half-open brackets share no value there.
 */
export function intersect(a: Interval, b: Interval): Interval | null {
  const low = Math.max(a.low, b.low);
  const high = Math.min(a.high, b.high);
  return low < high ? { low, high } : null;
}

export const middle = ({ low, high }: Interval): number => (low + high) / 2;
export const halfWidth = ({ low, high }: Interval): number => (high - low) / 2;
