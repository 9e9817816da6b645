import { z } from 'zod';
import type { Finding } from '../findings/finding';
import { issue } from '../message/issue';
import { type Message, msg } from '../message/message';
import { halfWidth, type Interval, intersect, middle } from '../quantity/interval';
import { RULES } from '../rules/catalogue';

const step = z
  .number(msg('Enter the step in mmHg.'))
  .min(1, msg('A step is at least 1 mmHg.'))
  .max(100, msg('A step above 100 mmHg says too little.'));
const reading = z
  .number(msg('Enter the gauge reading in mmHg.'))
  .min(20, msg('A reading below 20 mmHg is not an occlusion pressure.'))
  .max(400, msg('Above any gauge of this kit: read again.'));

/** One up-and-down trial: readings and the steps used, all in mmHg (rule LOP-2). */
export const trialSchema = z
  .object({ goneMmHg: reading, upMmHg: step, backMmHg: reading, downMmHg: step })
  .superRefine((trial, context) => {
    if (trial.backMmHg > trial.goneMmHg) {
      context.addIssue(
        issue(
          msg(
            'The pulse went at {goneMmHg} but came back at {backMmHg}, which is higher: gone cannot be below back. Swap or read again.',
            { goneMmHg: trial.goneMmHg, backMmHg: trial.backMmHg },
          ),
          'goneMmHg',
        ),
      );
    }
  });
export type Trial = z.infer<typeof trialSchema>;

/** How a practice turns a trial into a number: both directions, or one of them. */
export const readingSchoolSchema = z.enum(['bracket', 'first-silence', 'first-return']);
export type ReadingSchool = z.infer<typeof readingSchoolSchema>;

export const READING_SCHOOLS: Record<ReadingSchool, { label: Message; words: Message }> = {
  bracket: { label: msg('Bracket'), words: msg('middle of what rising and falling share') },
  'first-silence': { label: msg('First silence'), words: msg('the pressure at which the pulse went') },
  'first-return': { label: msg('First return'), words: msg('the pressure at which the pulse came back') },
};

/** Pressures in mmHg that one trial leaves possible; `gapMmHg` when the two directions disagree. */
export type Bracket =
  | { consistent: true; rising: Interval; falling: Interval; bracket: Interval }
  | { consistent: false; rising: Interval; falling: Interval; words: Message };

/**
 * Interval that one up-and-down trial leaves for the occlusion pressure (rule LOP-2): rising says (gone − up, gone],
 * falling says (back, back + down].
 * @param trial pressures in mmHg; `upMmHg`/`downMmHg` are the step sizes used
 * @returns the bracket in mmHg, or which reading to take again when the two directions share nothing
 * @example bracket({ goneMmHg: 200, upMmHg: 50, backMmHg: 172, downMmHg: 4 }) //=> (172, 176]
 */
export function bracket(trial: Trial): Bracket {
  const rising = { low: trial.goneMmHg - trial.upMmHg, high: trial.goneMmHg };
  const falling = { low: trial.backMmHg, high: trial.backMmHg + trial.downMmHg };
  const shared = intersect(rising, falling);
  return shared
    ? { consistent: true, rising, falling, bracket: shared }
    : { consistent: false, rising, falling, words: againWords(trial) };
}

/** Which reading of an inconsistent trial to take again. */
function againWords({ goneMmHg, upMmHg, backMmHg, downMmHg }: Trial): Message {
  if (backMmHg >= goneMmHg)
    return msg('The pulse cannot be back at {backMmHg} where it was gone: read “back” again, more slowly.', {
      backMmHg,
    });
  return msg(
    'Back only at {backMmHg}, {gapMmHg} mmHg under what rising leaves: it was deflated too fast, or “gone” was heard too late. Read “back” again, in smaller steps.',
    { backMmHg, gapMmHg: goneMmHg - upMmHg - backMmHg - downMmHg },
  );
}

/**
 * One trial as a number with its half-width, both in mmHg, or `null` when the trial is inconsistent. Schools of one
 * direction state what their users write down, with the whole of that direction's step as the half-width (rule LOP-2).
 */
export function readTrial(
  trial: Trial,
  school: ReadingSchool,
): { estimateMmHg: number; halfWidthMmHg: number } | null {
  const result = bracket(trial);
  if (!result.consistent) return null;
  if (school === 'first-silence') return { estimateMmHg: trial.goneMmHg, halfWidthMmHg: trial.upMmHg };
  if (school === 'first-return') return { estimateMmHg: trial.backMmHg, halfWidthMmHg: trial.downMmHg };
  return { estimateMmHg: middle(result.bracket), halfWidthMmHg: halfWidth(result.bracket) };
}

const STEP_MMHG = RULES['LOP-2'].figures.oneDirectionStepMmHg;

/** Findings on the steps of a school of one direction: its whole step is its uncertainty (rule LOP-2). */
export function checkSteps(trials: readonly Trial[], school: ReadingSchool): Finding[] {
  if (school === 'bracket') return [];
  const silent = school === 'first-silence';
  const step = Math.max(0, ...trials.map(({ upMmHg, downMmHg }) => (silent ? upMmHg : downMmHg)));
  if (step <= STEP_MMHG.noteAbove) return [];
  const values = { school: READING_SCHOOLS[school].label, step };
  return [
    {
      rule: 'LOP-2',
      level: step > STEP_MMHG.refuseAbove ? 'hard' : 'note',
      subject: 'trials',
      message: silent
        ? msg('{school} with a rising step of {step} mmHg leaves {step} mmHg unknown either way.', values)
        : msg('{school} with a falling step of {step} mmHg leaves {step} mmHg unknown either way.', values),
      remedy: msg('Step by {noteAbove} mmHg or less, or read both directions.', {
        noteAbove: STEP_MMHG.noteAbove,
      }),
    },
  ];
}
