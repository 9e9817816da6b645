import { z } from 'zod';
import { type Message, msg } from '../message/message';
import { toDecimals } from '../quantity/rounding';
import { RULES } from '../rules/catalogue';

/** A quick check: the pressure in mmHg at which the palpated pulse went (rule LOP-7). */
export const quickCheckSchema = z.object({
  goneMmHg: z
    .number(msg('Enter the pressure at which the pulse went.'))
    .min(20, msg('A reading below 20 mmHg is not an occlusion pressure.'))
    .max(300, msg('Above 300 mmHg is refused: check overlap, zero and probe.')),
  /** The step it was inflated by; over 10 it confirms nothing. Older ones did not keep it. */
  stepMmHg: z
    .number(msg('Enter the step in mmHg.'))
    .min(1, msg('A step is at least 1 mmHg.'))
    .max(100, msg('A step above 100 mmHg says too little.'))
    .optional(),
});

export type QuickCheck = { atMs: number; goneMmHg: number; stepMmHg?: number | undefined };

const { mostStepMmHg, confirmWithinMmHg } = RULES['LOP-7'].figures.quickCheck;

/** What a quick check says of a stored pressure: it confirms it, contradicts it, or says too little for either. */
export type QuickVerdict = 'confirms' | 'contradicts' | 'neither';

/**
 * What a quick check says of a stored occlusion pressure, in words (rule LOP-7). It reads that the pulse goes in
 * (gone − step, gone]: its middle is compared to confirm, in steps of 10 or less; the nearest end to contradict, at any step.
 * @example judgeQuickCheck(174, { goneMmHg: 180, stepMmHg: 10 }).verdict //=> 'confirms', since 175 is 1 away
 */
export function judgeQuickCheck(
  storedMmHg: number,
  { goneMmHg, stepMmHg = mostStepMmHg }: Pick<QuickCheck, 'goneMmHg' | 'stepMmHg'>,
): { verdict: QuickVerdict; words: Message } {
  const fromMmHg = goneMmHg - stepMmHg;
  const middleMmHg = goneMmHg - stepMmHg / 2;
  const nearestMmHg = toDecimals(Math.max(0, fromMmHg - storedMmHg, storedMmHg - goneMmHg), 1);
  const apartMmHg = toDecimals(Math.abs(middleMmHg - storedMmHg), 1);
  const read = msg('{fromMmHg} to {goneMmHg}', { fromMmHg, goneMmHg });
  if (nearestMmHg > confirmWithinMmHg)
    return {
      verdict: 'contradicts',
      words: msg('{read} is {nearestMmHg} or more from {storedMmHg}: measure it in full.', {
        read,
        nearestMmHg,
        storedMmHg,
      }),
    };
  if (stepMmHg <= mostStepMmHg && apartMmHg <= confirmWithinMmHg)
    return {
      verdict: 'confirms',
      words: msg('{read}, in the middle {apartMmHg} from {storedMmHg}: confirmed.', {
        read,
        apartMmHg,
        storedMmHg,
      }),
    };
  return {
    verdict: 'neither',
    words: msg(
      '{read} says too little of {storedMmHg}: check again in steps of {mostStepMmHg} or less, or measure.',
      { read, storedMmHg, mostStepMmHg },
    ),
  };
}
