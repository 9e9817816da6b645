import { z } from 'zod';
import type { Derived } from '../derivation/derived';
import type { Finding } from '../findings/finding';
import { mass, msg, only } from '../message/message';
import { toDecimals } from '../quantity/rounding';
import { median } from '../quantity/statistics';
import { RULES } from '../rules/catalogue';
import { FORMULA_NAMES, ONE_REP_MAX_FORMULAS } from './formulas';

const { trustedLow, trustedHigh, refuseAbove } = RULES['LOAD-1'].figures.repsToFailure;

/** One strength test: a load in kg and how often it was lifted before failure. One repetition is a direct test. */
export const strengthTestSchema = z.object({
  loadKg: z
    .number(msg('Enter the load in kg.'))
    .positive(msg('The load must be above 0 kg.'))
    .max(500, msg('Above 500 kg: check the figure.')),
  reps: z
    .number(msg('Enter the repetitions.'))
    .int(msg('Whole repetitions only.'))
    .min(1, msg('At least one repetition.'))
    .max(
      refuseAbove,
      msg(
        'More than {maximum} repetitions say little about a single one (LOAD-1): take a heavier load, 3 to 10 repetitions to failure.',
        { maximum: refuseAbove },
      ),
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
      working: [{ label: msg('Direct'), detail: msg('{loadKg} lifted once', { loadKg: mass(loadKg) }) }],
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
      { label: msg('Set to failure'), detail: msg('{load} × {reps}', { load: mass(loadKg), reps }) },
      ...estimates.map(({ name, kg }) => ({ label: name, detail: only(mass(kg)) })),
      { label: msg('Median of seven'), detail: only(mass(value)) },
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
      message: msg(
        'The estimate is best between {trustedLow} and {trustedHigh} repetitions; this one is from {reps}.',
        { trustedLow, trustedHigh, reps },
      ),
      remedy: msg('Use it for now and retest with a heavier load.'),
    },
  ];
}
