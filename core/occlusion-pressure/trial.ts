import { z } from 'zod';
import { halfWidth, type Interval, intersect, middle } from '../quantity/interval';

const step = z
  .number('Enter the step in mmHg.')
  .min(1, 'A step is at least 1 mmHg.')
  .max(100, 'A step above 100 mmHg says too little.');
const reading = z
  .number('Enter the gauge reading in mmHg.')
  .min(20, 'A reading below 20 mmHg is not an occlusion pressure.')
  .max(400, 'Above any gauge of this kit: read again.');

/** One up-and-down trial: readings and the steps used, all in mmHg (rule LOP-2). */
export const trialSchema = z
  .object({ goneMmHg: reading, upMmHg: step, backMmHg: reading, downMmHg: step })
  .superRefine((trial, context) => {
    if (trial.backMmHg > trial.goneMmHg) {
      context.addIssue({
        code: 'custom',
        path: ['goneMmHg'],
        message: `The pulse went at ${trial.goneMmHg} but came back at ${trial.backMmHg}, which is higher: gone cannot be below back. Swap or read again.`,
      });
    }
  });
export type Trial = z.infer<typeof trialSchema>;

/** How a practice turns a trial into a number: both directions, or one of them. */
export const readingSchoolSchema = z.enum(['bracket', 'first-silence', 'first-return']);
export type ReadingSchool = z.infer<typeof readingSchoolSchema>;

export const READING_SCHOOLS: Record<ReadingSchool, { label: string; words: string }> = {
  bracket: { label: 'Bracket', words: 'middle of what rising and falling share' },
  'first-silence': { label: 'First silence', words: 'the pressure at which the pulse went' },
  'first-return': { label: 'First return', words: 'the pressure at which the pulse came back' },
};

/** Pressures in mmHg that one trial leaves possible; `gapMmHg` when the two directions disagree. */
export type Bracket =
  | { consistent: true; rising: Interval; falling: Interval; bracket: Interval }
  | { consistent: false; rising: Interval; falling: Interval; gapMmHg: number };

/**
 * Interval that one up-and-down trial leaves for the occlusion pressure.
 * @param trial pressures in mmHg; `upMmHg`/`downMmHg` are the step sizes used
 * @returns the bracket in mmHg, or the gap when the two directions disagree (rule LOP-2)
 * @example bracket({ goneMmHg: 200, upMmHg: 50, backMmHg: 172, downMmHg: 4 }) // 172–176
 */
export function bracket(trial: Trial): Bracket {
  const rising = { low: trial.goneMmHg - trial.upMmHg, high: trial.goneMmHg };
  const falling = { low: trial.backMmHg, high: trial.backMmHg + trial.downMmHg };
  // (gone − up, gone] ∩ [back, back + down) is the single pressure `gone` when back equals gone.
  if (trial.backMmHg === trial.goneMmHg) {
    return { consistent: true, rising, falling, bracket: { low: trial.goneMmHg, high: trial.goneMmHg } };
  }
  const shared = intersect(rising, falling);
  return shared
    ? { consistent: true, rising, falling, bracket: shared }
    : {
        consistent: false,
        rising,
        falling,
        gapMmHg: Math.max(rising.low - falling.high, falling.low - rising.high),
      };
}

/**
 * One trial as a number with its half-width, both in mmHg, or `null` when the trial is inconsistent.
 * Schools that read one direction only take half that direction's step as the half-width (rule LOP-2).
 */
export function readTrial(
  trial: Trial,
  school: ReadingSchool,
): { estimateMmHg: number; halfWidthMmHg: number } | null {
  const result = bracket(trial);
  if (!result.consistent) return null;
  if (school === 'first-silence') return { estimateMmHg: trial.goneMmHg, halfWidthMmHg: trial.upMmHg / 2 };
  if (school === 'first-return') return { estimateMmHg: trial.backMmHg, halfWidthMmHg: trial.downMmHg / 2 };
  return { estimateMmHg: middle(result.bracket), halfWidthMmHg: halfWidth(result.bracket) };
}
