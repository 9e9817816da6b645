import { z } from 'zod';
import type { Finding } from '../findings/finding';
import { type Message, msg } from '../message/message';
import { type Limb, limbKind, limbSchema } from '../quantity/limb';
import { RULES } from '../rules/catalogue';
import { type Counted, stepName } from './mark-words';

/** Felt tightness to aim for, 0 none to 10 pain (rule TIGHT). */
export const TIGHTNESS_AIM = RULES.TIGHT.figures.aim;

export const TIGHTNESS_WORDS: Record<number, Message> = {
  0: msg('none'),
  7: msg('snug without pain'),
  10: msg('pain'),
};

/** A strap tightened by feel: the mark, the felt tightness, and the two-second look (rule TIGHT). */
export const tightnessSchema = z.object({
  limb: limbSchema,
  strapId: z.string(msg('Choose a strap.')).min(1, msg('Choose a strap.')),
  /** The printed mark, the turns of a wrap, or the squeezes of a hand pump. */
  mark: z.number(msg('Enter the mark on the strap, or the turns.')).min(0).max(100),
  /** How far a wrap is stretched, in words; a strap with marks needs none. */
  tension: z.string().trim().max(60, msg('At most 60 characters.')).optional(),
  felt: z.number(msg('How tight does it feel, 0 to 10?')).int().min(0).max(10),
  colourGood: z.boolean(),
  noTingling: z.boolean(),
});
export type Tightness = z.infer<typeof tightnessSchema>;

/** What is wrong with a mark that is not there, and what to do. */
const OUTSIDE: Record<
  'marks' | Counted,
  (values: { first: number; last: number; mark: number }) => [message: Message, remedy: Message]
> = {
  marks: (values) => [
    msg('This strap has marks {first} to {last}; {mark} is not one of them.', values),
    msg('Read the mark at the buckle again.'),
  ],
  turns: (values) => [
    msg('It is for {first} to {last} turns; {mark} is outside that.', values),
    msg('Count the turns again.'),
  ],
  squeezes: (values) => [
    msg('It is for {first} to {last} squeezes; {mark} is outside that.', values),
    msg('Count the squeezes again.'),
  ],
};

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
  const findings: Finding[] = [];
  const add = (level: Finding['level'], subject: string, message: Message, remedy: Message) =>
    findings.push({ rule: 'TIGHT', level, subject, message, remedy });
  if (mark < marks.firstMark || mark > marks.lastMark) {
    add('hard', 'mark', ...OUTSIDE[marks.counts]({ first: marks.firstMark, last: marks.lastMark, mark }));
  }
  if (isWrap && !tension) {
    add(
      'hard',
      'tension',
      msg('Turns alone say nothing of how tight a wrap is.'),
      msg('Say how far it is stretched, so that it can be put on alike.'),
    );
  }
  if (!colourGood)
    add('hard', 'colourGood', msg('The colour is not good.'), msg('Loosen at once and see it return.'));
  if (!noTingling)
    add(
      'hard',
      'noTingling',
      msg('There is tingling.'),
      msg('Loosen at once, move the strap up, start lower.'),
    );
  if (felt > high) {
    add(
      'hard',
      'felt',
      msg('Felt {felt} of 10 is tighter than {high}.', { felt, high }),
      msg('Loosen by one {step} and ask again: aim for {aim}.', { step, aim: aimWords(limb) }),
    );
  } else if (felt < low) {
    add(
      'note',
      'felt',
      msg('Felt {felt} of 10 is under the aim of {aim}.', { felt, aim: aimWords(limb) }),
      msg('Go up one {step} at a time, and ask again.', { step }),
    );
  }
  return findings;
}

/** "6–7" for an arm, "7" for a leg. */
export function aimWords(limb: Limb): string {
  const { low, high } = TIGHTNESS_AIM[limbKind(limb)];
  return low === high ? `${low}` : `${low}–${high}`;
}
