/** Arithmetic mean. @throws RangeError on an empty list */
export function mean(values: readonly number[]): number {
  if (values.length === 0) throw new RangeError('The mean of no values is not defined.');
  return values.reduce((sum, value) => sum + value, 0) / values.length;
}

/** Middle value, or the mean of the two middle ones. @throws RangeError on an empty list */
export function median(values: readonly number[]): number {
  const sorted = [...values].sort((a, b) => a - b);
  const half = Math.floor(sorted.length / 2);
  return mean(sorted.length % 2 === 1 ? sorted.slice(half, half + 1) : sorted.slice(half - 1, half + 1));
}

/** Largest minus smallest value; 0 for fewer than two values. */
export function spread(values: readonly number[]): number {
  return values.length < 2 ? 0 : Math.max(...values) - Math.min(...values);
}
