import { z } from 'zod';
import type { Finding } from '../findings/finding';
import { type Limb, limbKind, limbSchema } from '../quantity/limb';
import { RULES } from '../rules/catalogue';
import { type Counted, stepName } from './mark-words';

/** Felt tightness to aim for, 0 none to 10 pain (rule TIGHT). */
export const TIGHTNESS_AIM = RULES.TIGHT.figures.aim;

export const TIGHTNESS_WORDS: Record<number, string> = { 0: 'none', 7: 'snug without pain', 10: 'pain' };

/** A strap tightened by feel: the mark, the felt tightness, and the two-second look (rule TIGHT). */
export const tightnessSchema = z.object({
  limb: limbSchema,
  strapId: z.string('Choose a strap.').min(1, 'Choose a strap.'),
  /** The printed mark, the turns of a wrap, or the squeezes of a hand pump. */
  mark: z.number('Enter the mark on the strap, or the turns.').min(0).max(100),
  /** How far a wrap is stretched, in words; a strap with marks needs none. */
  tension: z.string().trim().max(60, 'At most 60 characters.').optional(),
  felt: z.number('How tight does it feel, 0 to 10?').int().min(0).max(10),
  colourGood: z.boolean(),
  noTingling: z.boolean(),
});
export type Tightness = z.infer<typeof tightnessSchema>;

/**
 * Findings on a strap put on by feel (rule TIGHT). A felt tightness is never a share of the occlusion pressure.
 * @param marks the marks printed on the strap, or how many turns the wrap is long enough for
 */
export function checkTightness(
  { limb, mark, tension, felt, colourGood, noTingling }: Omit<Tightness, 'strapId'>,
  marks: { firstMark: number; lastMark: number; counts: 'marks' | Counted },
): Finding[] {
  const { low, high } = TIGHTNESS_AIM[limbKind(limb)];
  const isWrap = marks.counts === 'turns';
  const step = stepName(marks);
  const isCounted = marks.counts !== 'marks';
  const findings: Finding[] = [];
  const add = (level: Finding['level'], subject: string, message: string, remedy: string) =>
    findings.push({ rule: 'TIGHT', level, subject, message, remedy });
  if (mark < marks.firstMark || mark > marks.lastMark) {
    add(
      'hard',
      'mark',
      isCounted
        ? `It is for ${marks.firstMark} to ${marks.lastMark} ${marks.counts}; ${mark} is outside that.`
        : `This strap has marks ${marks.firstMark} to ${marks.lastMark}; ${mark} is not one of them.`,
      isCounted ? `Count the ${marks.counts} again.` : 'Read the mark at the buckle again.',
    );
  }
  if (isWrap && !tension) {
    add(
      'hard',
      'tension',
      'Turns alone say nothing of how tight a wrap is.',
      'Say how far it is stretched, so that it can be put on alike.',
    );
  }
  if (!colourGood) add('hard', 'colourGood', 'The colour is not good.', 'Loosen at once and see it return.');
  if (!noTingling)
    add('hard', 'noTingling', 'There is tingling.', 'Loosen at once, move the strap up, start lower.');
  if (felt > high) {
    add(
      'hard',
      'felt',
      `Felt ${felt} of 10 is tighter than ${high}.`,
      `Loosen by one ${step} and ask again: aim for ${aimWords(limb)}.`,
    );
  } else if (felt < low) {
    add(
      'note',
      'felt',
      `Felt ${felt} of 10 is under the aim of ${aimWords(limb)}.`,
      `Go up one ${step} at a time, and ask again.`,
    );
  }
  return findings;
}

/** "6–7" for an arm, "7" for a leg. */
export function aimWords(limb: Limb): string {
  const { low, high } = TIGHTNESS_AIM[limbKind(limb)];
  return low === high ? `${low}` : `${low}–${high}`;
}
