import { toDecimals } from '../quantity/rounding';
import { inToCm, lbToKg } from '../quantity/units';
import type { ColumnUnit } from './mapping';

const FACTORS: Record<ColumnUnit, (value: number) => number> = {
  kg: (value) => value,
  lb: lbToKg,
  cm: (value) => value,
  mm: (value) => value / 10,
  in: inToCm,
};

/** A figure of a table in kg or cm. @example inCore(545, 'mm') //=> 54.5 */
export const inCore = (figure: number, unit: ColumnUnit): number => toDecimals(FACTORS[unit](figure), 2);
