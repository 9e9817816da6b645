import { MS_PER_DAY } from '../quantity/units';
import { RULES } from '../rules/catalogue';
import type { Occasion } from './verdict';

/** Weaker ÷ stronger with its 95 % interval, and which side is the weaker (rule OUT-3). */
export type Symmetry = {
  ratio: number;
  interval: { low: number; high: number };
  weaker: 'left' | 'right' | 'equal';
};

const SAME_OCCASION_MS = 3 * MS_PER_DAY;

/** The newest values of both sides that were taken on one occasion; undefined where a side was not taken with the other. */
export function newestPair(
  left: readonly Occasion[],
  right: readonly Occasion[],
): [Occasion, Occasion] | undefined {
  for (const a of [...left].sort((x, y) => y.atMs - x.atMs)) {
    const b = right.find(({ atMs }) => Math.abs(atMs - a.atMs) <= SAME_OCCASION_MS);
    if (b) return [a, b];
  }
  return undefined;
}

/**
 * Symmetry of two limbs on the log scale, where the errors of both add up (rule OUT-3). Null where a side is not above 0.
 * @example left 180 N, right 200 N, errors 5 %: ratio 0.9, ln ± 1.96 × 0.0707 //=> { ratio: 0.9, interval: 0.784 to 1.034 }
 */
export function symmetry(
  left: Pick<Occasion, 'value' | 'error'>,
  right: Pick<Occasion, 'value' | 'error'>,
): Symmetry | null {
  if (left.value <= 0 || right.value <= 0) return null;
  const ratio = Math.min(left.value, right.value) / Math.max(left.value, right.value);
  const half = RULES['OUT-2'].figures.z95 * Math.hypot(left.error / left.value, right.error / right.value);
  return {
    ratio,
    interval: { low: ratio * Math.exp(-half), high: ratio * Math.exp(half) },
    weaker: left.value < right.value ? 'left' : left.value > right.value ? 'right' : 'equal',
  };
}
