import type { Occasion } from './verdict';

/** A value and how often it counts in a sum: −1 where it is taken off. */
export type Term = readonly [Occasion, number];

/**
 * A sum of values with its standard error, √Σ(times × error)²; one that is in it twice counts as once with both.
 * @example 52 ± 0.5 less 50 ± 0.5 //=> { change: 2, sd: 0.707 }
 */
export function sumOfValues(terms: readonly Term[]): { change: number; sd: number } {
  const times = new Map<Occasion, number>();
  for (const [value, count] of terms) times.set(value, (times.get(value) ?? 0) + count);
  let [change, variance] = [0, 0];
  for (const [{ value, error }, count] of times) {
    change += count * value;
    variance += (count * error) ** 2;
  }
  return { change, sd: Math.sqrt(variance) };
}

/** The value nearest to a moment of those within a time; undefined where there is none. Wall-clock days. */
export function nearestValue(
  points: readonly Occasion[],
  dayOfPoint: (point: Occasion) => number,
  { about, fromDay, toDay }: { about: number; fromDay: number; toDay: number },
): Occasion | undefined {
  const away = (point: Occasion) => Math.abs(dayOfPoint(point) - about);
  return points
    .filter((point) => dayOfPoint(point) >= fromDay && dayOfPoint(point) <= toDay)
    .sort((a, b) => away(a) - away(b))[0];
}
