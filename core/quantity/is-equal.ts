/**
 * Whether two values of plain data are the same, however deep; the order of an object's keys does not matter.
 * @example isEqual({ a: [1] }, { a: [1] }) //=> true
 */
export function isEqual(a: unknown, b: unknown): boolean {
  if (Object.is(a, b)) return true;
  if (typeof a !== 'object' || typeof b !== 'object' || a === null || b === null) return false;
  const [mine, other] = [Object.entries(a), Object.entries(b)].map((entries) =>
    entries.filter(([, value]) => value !== undefined),
  ) as [[string, unknown][], [string, unknown][]];
  if (Array.isArray(a) !== Array.isArray(b) || mine.length !== other.length) return false;
  return mine.every(([key, value]) => isEqual(value, (b as Record<string, unknown>)[key]));
}
