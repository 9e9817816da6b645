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
  | 'kg·reps';

export const MS_PER_MINUTE = 60_000;
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
