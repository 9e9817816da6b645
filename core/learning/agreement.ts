import { mean, sampleStandardDeviation } from 'simple-statistics';
import { toDecimals } from '../quantity/rounding';

/** How far two operators are apart on the same simulated limbs, in mmHg. */
export type Agreement = {
  cases: number;
  /** Mean difference, positive where this one states more than the other. */
  meanMmHg: number;
  /** Where 95 of 100 differences are expected to lie; of fewer than three cases nothing is said. */
  limits: { lowMmHg: number; highMmHg: number } | 'too few cases';
};

const CASES_FOR_LIMITS = 3;

/**
 * Agreement by the limits of Bland and Altman (Lancet 1986;327:307–310): the mean of the differences, and 1.96 of their standard
 * deviations about it.
 * @param differencesMmHg this operator less the other, one a limb
 * @returns `null` where no limb was measured by both
 * @example agreementOf([4, -2, 4])?.meanMmHg //=> 2
 */
export function agreementOf(differencesMmHg: readonly number[]): Agreement | null {
  if (differencesMmHg.length === 0) return null;
  const middle = mean([...differencesMmHg]);
  const found = { cases: differencesMmHg.length, meanMmHg: toDecimals(middle, 1) };
  if (found.cases < CASES_FOR_LIMITS) return { ...found, limits: 'too few cases' };
  const reach = 1.96 * sampleStandardDeviation([...differencesMmHg]);
  return {
    ...found,
    limits: { lowMmHg: toDecimals(middle - reach, 1), highMmHg: toDecimals(middle + reach, 1) },
  };
}
