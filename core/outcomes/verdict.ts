import { errorFunction } from 'simple-statistics';
import { MS_PER_DAY } from '../quantity/units';
import { RULES } from '../rules/catalogue';
import type { Measure } from './measure';

export type VerdictKind =
  | 'real-gain'
  | 'probably-gain'
  | 'within-noise'
  | 'probably-loss'
  | 'real-loss'
  | 'too-early';

/** A value with its typical error, both in the measure's unit. */
export type Occasion = { atMs: number; value: number; error: number };

/** What a change is against its error (rule OUT-2). */
export type Verdict = {
  kind: VerdictKind;
  change: number;
  /** 95 % of such changes lie so far from the true one. */
  interval: { low: number; high: number };
  /** How likely the true change is an improvement, 0–1; a rise, where neither way is better. */
  chance: number;
  /** The smallest change that is real. */
  smallestReal: number;
};

const { z95, probablyFrom, sizeFromDay } = RULES['OUT-2'].figures;

/** The share of a normal distribution below `z`. @example normalBelow(1.96) //=> 0.975 */
export const normalBelow = (z: number): number => (1 + errorFunction(z / Math.SQRT2)) / 2;

/**
 * Whether a change is real: against the error of both occasions, √2 times the typical error where it is the same (rule OUT-2).
 * Of size nothing is said before day 21.
 * @example 50.0 → 51.5 cm, error 0.5: 1.5 ≥ 1.96 × 0.707 = 1.386 //=> real gain, chance 0.983
 */
export function verdict(
  { better, isSize }: Pick<Measure, 'better' | 'isSize'>,
  first: Occasion,
  last: Occasion,
): Verdict {
  const judged = judge(better, last.value - first.value, Math.hypot(first.error, last.error));
  const isEarly = isSize === true && last.atMs - first.atMs < sizeFromDay * MS_PER_DAY;
  return isEarly ? { ...judged, kind: 'too-early' } : judged;
}

/** What a change, or a difference of changes, is against its own error (rule OUT-2). @param sd its standard error */
export function judge(better: Measure['better'], change: number, sd: number): Judged {
  const smallestReal = z95 * sd;
  const towardsBetter = better === 'lower' ? -change : change;
  const chance =
    sd === 0 ? (towardsBetter > 0 ? 1 : towardsBetter < 0 ? 0 : 0.5) : normalBelow(towardsBetter / sd);
  return {
    kind: kindOf(towardsBetter, smallestReal, chance),
    change,
    interval: { low: change - smallestReal, high: change + smallestReal },
    chance,
    smallestReal,
  };
}

/** A verdict that does not depend on time. */
export type Judged = Verdict & { kind: Exclude<VerdictKind, 'too-early'> };

function kindOf(towardsBetter: number, smallestReal: number, chance: number): Judged['kind'] {
  if (towardsBetter !== 0 && Math.abs(towardsBetter) >= smallestReal)
    return towardsBetter > 0 ? 'real-gain' : 'real-loss';
  if (chance >= probablyFrom) return 'probably-gain';
  return chance <= 1 - probablyFrom ? 'probably-loss' : 'within-noise';
}
