/** The newest of some facts, or `undefined` when there are none. */
export function newest<T extends { atMs: number }>(facts: readonly T[]): T | undefined {
  return facts.reduce<T | undefined>(
    (best, fact) => (!best || fact.atMs > best.atMs ? fact : best),
    undefined,
  );
}
