// A ratio such as 0.3 / 0.1 = 2.9999999999999996 must count as 3, not 2.
const RATIO_SLACK = 1e-9;

/**
 * Largest multiple of `division` that does not exceed `value` (rules PRS-1, LOAD-4).
 * @param value any finite number ≥ 0
 * @param division smallest readable step, in the same unit; must be > 0
 * @throws RangeError when `division` is not above zero
 * @example roundDownToDivision(104.4, 2) // 104
 */
export function roundDownToDivision(value: number, division: number): number {
  if (!(division > 0)) throw new RangeError(`A division must be above zero, got ${division}.`);
  const multiple = tidy(Math.floor(value / division + RATIO_SLACK) * division);
  return multiple > value ? tidy(value) : multiple;
}

/** `value` without the dust of binary fractions: at most six decimals. */
export function tidy(value: number): number {
  return Math.round(value * 1e6) / 1e6;
}

/** `value` rounded to `decimals` places, for words and tables. */
export function toDecimals(value: number, decimals: number): number {
  const scale = 10 ** decimals;
  return Math.round(value * scale) / scale;
}
