/** The newest of some facts, of two with one time the later in the list; `undefined` when there are none. */
export const newest = <T extends { atMs: number }>(facts: readonly T[]): T | undefined =>
  newestBy(facts, ({ atMs }) => atMs);

/** The same by another time of theirs. */
export const newestBy = <T>(facts: readonly T[], atMsOf: (fact: T) => number): T | undefined =>
  facts.reduce<T | undefined>(
    (best, fact) => (best === undefined || atMsOf(fact) >= atMsOf(best) ? fact : best),
    undefined,
  );
