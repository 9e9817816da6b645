import { sampleStandardDeviation } from 'simple-statistics';
import { RULES } from '../rules/catalogue';
import type { Measure } from './measure';

/** The typical error of one measurement in the measure's unit or in %, and what it is taken from. */
export type TypicalError = {
  kind: Measure['error']['kind'];
  value: number;
  from: 'own-repeats' | 'default';
  pairs: number;
};

/**
 * The typical error of a measure: from the practice's own repeats where there are enough pairs, else the default (rule OUT-2).
 * A pair is the first two figures of one occasion; where the default is in %, so are the differences, of the pair's mean.
 * @example eight pairs that differ by 1 and −1 in turn: sd 1.069 ÷ √2 //=> { value: 0.756, from: 'own-repeats', pairs: 8 }
 */
export function typicalError(
  { error }: Pick<Measure, 'error'>,
  pairs: readonly (readonly [number, number])[],
): TypicalError {
  const { fewestPairs } = RULES['OUT-2'].figures;
  const differences = pairs.map(([a, b]) =>
    error.kind === 'percent' ? (100 * (b - a)) / ((a + b) / 2) : b - a,
  );
  const own = pairs.length >= fewestPairs ? sampleStandardDeviation(differences) / Math.SQRT2 : 0;
  // Repeats that never differ say that they were not taken again.
  return own > 0
    ? { kind: error.kind, value: own, from: 'own-repeats', pairs: pairs.length }
    : { ...error, from: 'default', pairs: pairs.length };
}

/** The same in the measure's unit; errors in % are of the first value (rule OUT-2). */
export const errorInUnit = ({ kind, value }: Pick<TypicalError, 'kind' | 'value'>, first: number): number =>
  kind === 'percent' ? (Math.abs(first) * value) / 100 : value;
