/** A stream of numbers in [0, 1) that is the same for the same seed. */
export type Random = () => number;

/** Seeded generator (mulberry32): small, fast, and good enough for simulated limbs. */
export function seededRandom(seed: number): Random {
  let state = seed >>> 0;
  return () => {
    state = (state + 0x6d2b79f5) >>> 0;
    let mixed = Math.imul(state ^ (state >>> 15), state | 1);
    mixed ^= mixed + Math.imul(mixed ^ (mixed >>> 7), mixed | 61);
    return ((mixed ^ (mixed >>> 14)) >>> 0) / 4_294_967_296;
  };
}

/** One of several, drawn by lot. */
export const oneOf = <T>(random: Random, values: readonly T[]): T =>
  values[Math.floor(random() * values.length)] as T;

/** A number from the standard normal distribution (Box–Muller). */
export function normal(random: Random): number {
  return Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random());
}

/** A seed from words, the same each time (FNV-1a). */
export function seedOf(words: string): number {
  let hash = 0x811c9dc5;
  for (const character of words) hash = Math.imul(hash ^ (character.codePointAt(0) ?? 0), 0x01000193);
  return hash >>> 0;
}
