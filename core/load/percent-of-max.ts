import { toDecimals } from '../quantity/rounding';

/** The share of a 1RM that a load truly is, in % to a tenth (rule LOAD-4). @example percentOfMax(7.5, 37.5) //=> 20 */
export const percentOfMax = (loadKg: number, oneRepMaxKg: number): number =>
  toDecimals((100 * loadKg) / oneRepMaxKg, 1);
