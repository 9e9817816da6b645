import { z } from 'zod';
import { toDecimals } from '../quantity/rounding';
import { RULES } from '../rules/catalogue';

/** A quick check: the pressure in mmHg at which the palpated pulse went (rule LOP-7). */
export const quickCheckSchema = z.object({
  goneMmHg: z
    .number('Enter the pressure at which the pulse went.')
    .min(20, 'A reading below 20 mmHg is not an occlusion pressure.')
    .max(300, 'Above 300 mmHg is refused: check overlap, zero and probe.'),
  /** The step it was inflated by; over 10 it confirms nothing. Older ones did not keep it. */
  stepMmHg: z
    .number('Enter the step in mmHg.')
    .min(1, 'A step is at least 1 mmHg.')
    .max(100, 'A step above 100 mmHg says too little.')
    .optional(),
});

export type QuickCheck = { atMs: number; goneMmHg: number; stepMmHg?: number | undefined };

const { mostStepMmHg, confirmWithinMmHg } = RULES['LOP-7'].figures.quickCheck;

/** Whether a check was made finely enough to renew what it confirms (rule LOP-7). */
export const isFine = ({ stepMmHg }: Pick<QuickCheck, 'stepMmHg'>): boolean =>
  stepMmHg === undefined || stepMmHg <= mostStepMmHg;

/**
 * Whether a quick check confirms a stored occlusion pressure, in words (rule LOP-7).
 * @returns `confirmed` within ±10 mmHg, which renews the shelf life; otherwise the stored one is due at once
 */
export function judgeQuickCheck(storedMmHg: number, goneMmHg: number): { confirmed: boolean; words: string } {
  const apartMmHg = toDecimals(Math.abs(goneMmHg - storedMmHg), 1);
  return apartMmHg <= confirmWithinMmHg
    ? { confirmed: true, words: `${goneMmHg} is ${apartMmHg} from ${storedMmHg}: confirmed.` }
    : {
        confirmed: false,
        words: `${goneMmHg} is ${apartMmHg} from ${storedMmHg}, more than ${confirmWithinMmHg}: measure again.`,
      };
}
