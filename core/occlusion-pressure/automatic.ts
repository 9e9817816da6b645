import type { Trial } from './trial';

/** What an automatic pump may be off by, in mmHg: its one figure stands for a bracket this wide either side (rule LOP-1). */
const AUTOMATIC_HALF_WIDTH_MMHG = 6;

/** An automatic pump's reading in mmHg as a trial whose bracket is the reading ± 6. */
export const automaticTrial = (readingMmHg: number): Trial => ({
  goneMmHg: readingMmHg + AUTOMATIC_HALF_WIDTH_MMHG,
  upMmHg: 2 * AUTOMATIC_HALF_WIDTH_MMHG,
  backMmHg: readingMmHg - AUTOMATIC_HALF_WIDTH_MMHG,
  downMmHg: 2 * AUTOMATIC_HALF_WIDTH_MMHG,
});
