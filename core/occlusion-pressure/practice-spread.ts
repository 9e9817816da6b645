import { mean } from '../quantity/statistics';
import { type ReadingSchool, readTrial, type Trial } from './trial';

/** How estimates of trials lie about the mean of their own measurement: sum of squares, in mmHg², and degrees of freedom. */
export type Spread = { squares: number; degrees: number };

/** A practice that has not repeated a measurement yet. */
export const NOTHING_SEEN: Spread = { squares: 0, degrees: 0 };

/** As if a practice had never seen two trials differ: no measurement is surer than with it. */
export const NEVER_APART: Spread = { squares: 0, degrees: Number.MAX_SAFE_INTEGER };

/** @example spreadOf([170, 174]) //=> { squares: 8, degrees: 1 } @returns nothing seen of fewer than two */
export function spreadOf(estimatesMmHg: readonly number[]): Spread {
  if (estimatesMmHg.length < 2) return NOTHING_SEEN;
  const centre = mean(estimatesMmHg);
  const squares = estimatesMmHg.reduce((sum, one) => sum + (one - centre) ** 2, 0);
  return { squares, degrees: estimatesMmHg.length - 1 };
}

export const addSpread = (one: Spread, other: Spread): Spread => ({
  squares: one.squares + other.squares,
  degrees: one.degrees + other.degrees,
});

/** What is seen without one measurement that is among it. */
export const withoutSpread = (all: Spread, one: Spread): Spread => ({
  squares: Math.max(0, all.squares - one.squares),
  degrees: Math.max(0, all.degrees - one.degrees),
});

/** The estimates of the trials that can be used, in mmHg (rule LOP-2). */
export const estimatesOf = (trials: readonly Trial[], school: ReadingSchool): number[] =>
  trials.flatMap((trial) => readTrial(trial, school)?.estimateMmHg ?? []);

/** A practice's own spread: within each of its measurements, all taken together, unsteady ones too (rule LOP-3). */
export const practiceSpread = (
  measurements: readonly { trials: readonly Trial[]; readingSchool: ReadingSchool }[],
): Spread =>
  measurements.reduce(
    (seen, { trials, readingSchool }) => addSpread(seen, spreadOf(estimatesOf(trials, readingSchool))),
    NOTHING_SEEN,
  );
