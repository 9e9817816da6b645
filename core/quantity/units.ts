import { toDecimals } from './rounding';

/** Every unit a figure in Nervato can carry. The core computes in mmHg, kg, cm and ms. */
export type Unit =
  | 'mmHg'
  | 'kg'
  | 'cm'
  | 'ms'
  | '%LOP'
  | '%1RM'
  | 'reps'
  | 'mmHg·min'
  | '%LOP·min'
  | 'kg·reps'
  | 'effort·min'
  | 'W'
  | 'km/h'
  | '/min'
  | '%VO2max';

export const MS_PER_SECOND = 1_000;
export const MS_PER_MINUTE = 60_000;
export const MS_PER_HOUR = 3_600_000;
export const MS_PER_DAY = 86_400_000;

const KG_PER_LB = 0.45359237;
const CM_PER_IN = 2.54;

/** Pounds for display, from kilograms. */
export const kgToLb = (massKg: number): number => massKg / KG_PER_LB;
/** Kilograms, from pounds typed in. */
export const lbToKg = (massLb: number): number => massLb * KG_PER_LB;
/** Inches for display, from centimetres. */
export const cmToIn = (lengthCm: number): number => lengthCm / CM_PER_IN;
/** Centimetres, from inches typed in. */
export const inToCm = (lengthIn: number): number => lengthIn * CM_PER_IN;

/** The units a practice shows and types; the core computes in kg and cm whatever they are. */
export type DisplayUnits = { mass: 'kg' | 'lb'; length: 'cm' | 'in' };

/** Kilograms in the practice's unit, to a hundredth. */
export const massIn = (massKg: number, unit: DisplayUnits['mass']): number =>
  toDecimals(unit === 'kg' ? massKg : kgToLb(massKg), 2);

/** Centimetres in the practice's unit, to a tenth. */
export const lengthIn = (lengthCm: number, unit: DisplayUnits['length']): number =>
  toDecimals(unit === 'cm' ? lengthCm : cmToIn(lengthCm), 1);

/**
 * A typed number, comma or point; NaN when there is none.
 * @example toNumber('54,5') //=> 54.5
 */
export const toNumber = (typed: string): number =>
  typed.trim() === '' ? Number.NaN : Number(typed.replace(',', '.'));

/**
 * A typed number that may be left out; null where it is.
 * @example toNumberOrNull(' ') //=> null
 */
export const toNumberOrNull = (typed: string): number | null =>
  typed.trim() === '' ? null : toNumber(typed);
