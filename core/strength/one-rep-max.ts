import { z } from 'zod';
import type { Derived } from '../derivation/derived';
import type { Finding } from '../findings/finding';
import { toDecimals } from '../quantity/rounding';
import { median } from '../quantity/statistics';
import { RULES } from '../rules/catalogue';
import { FORMULA_NAMES, ONE_REP_MAX_FORMULAS } from './formulas';

const { trustedLow, trustedHigh, refuseAbove } = RULES['LOAD-1'].figures.repsToFailure;

/** One strength test: a load in kg and how often it was lifted before failure. One repetition is a direct test. */
export const strengthTestSchema = z.object({
  loadKg: z
    .number('Enter the load in kg.')
    .positive('The load must be above 0 kg.')
    .max(500, 'Above 500 kg: check the figure.'),
  reps: z
    .number('Enter the repetitions.')
    .int('Whole repetitions only.')
    .min(1, 'At least one repetition.')
    .max(
      refuseAbove,
      `More than ${refuseAbove} repetitions say little about a single one (LOAD-1): take a heavier load, 3 to 10 repetitions to failure.`,
    ),
});
export type StrengthTest = z.infer<typeof strengthTestSchema>;

/**
 * One-repetition maximum in kg from one test (rule LOAD-1).
 * @returns the load itself for one repetition, otherwise the median of the seven formulas with min–max as interval
 * @throws RangeError for less than 1 or more than 15 repetitions
 */
export function oneRepMax({ loadKg, reps }: StrengthTest): Derived {
  if (!(reps >= 1 && reps <= refuseAbove)) {
    throw new RangeError(`A one-repetition maximum needs 1 to ${refuseAbove} repetitions, got ${reps}.`);
  }
  if (reps === 1) {
    return {
      value: loadKg,
      unit: 'kg',
      working: [{ label: 'Direct', detail: `${loadKg} kg lifted once` }],
      rules: ['LOAD-1'],
    };
  }
  const estimates = FORMULA_NAMES.map((name) => ({
    name,
    kg: toDecimals(ONE_REP_MAX_FORMULAS[name](loadKg, reps), 2),
  }));
  const values = estimates.map(({ kg }) => kg);
  const value = toDecimals(median(values), 1);
  return {
    value,
    unit: 'kg',
    interval: { low: Math.min(...values), high: Math.max(...values) },
    working: [
      { label: 'Set to failure', detail: `${loadKg} kg × ${reps}` },
      ...estimates.map(({ name, kg }) => ({ label: name, detail: `${kg} kg` })),
      { label: 'Median of seven', detail: `${value} kg` },
    ],
    rules: ['LOAD-1'],
  };
}

/** Note when the number of repetitions is outside what the formulas are best at (rule LOAD-1). */
export function checkRepsToFailure(reps: number): Finding[] {
  if (reps === 1 || (trustedLow <= reps && reps <= trustedHigh)) return [];
  return [
    {
      rule: 'LOAD-1',
      level: 'note',
      subject: 'reps',
      message: `The estimate is best between ${trustedLow} and ${trustedHigh} repetitions; this one is from ${reps}.`,
      remedy: 'Use it for now and retest with a heavier load.',
    },
  ];
}
