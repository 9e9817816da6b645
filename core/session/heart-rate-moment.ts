import { z } from 'zod';
import { type Message, msg } from '../message/message';
import { MS_PER_MINUTE } from '../quantity/units';

/** When in a spell of aerobic work a heart rate was: at a minute of it, or at its end (chapter 6). */
export const heartRateMomentSchema = z.union([
  z.literal('end'),
  z.templateLiteral(['minute-', z.int()]).refine((moment) => /^minute-[1-9]\d?$/.test(moment), {
    error: msg('A minute from 1 to 99.').message,
  }),
]);
export type HeartRateMoment = 'end' | `minute-${number}`;

/** Minutes a heart rate is asked at; any other may be noted too. */
export const ASKED_MINUTES = [5, 15] as const;

export const atMinute = (minute: number): HeartRateMoment => `minute-${minute}`;

/** @example minuteOf('minute-15') //=> 15 */
const minuteOf = (moment: `minute-${number}`): number => Number(moment.slice('minute-'.length));

/** @example momentWords('minute-15') //=> 'at minute 15' */
export const momentWords = (moment: HeartRateMoment): Message =>
  moment === 'end' ? msg('at the end') : msg('at minute {minute}', { minute: minuteOf(moment) });

/** The minute a figure that is noted now is of: the first asked one that has none yet, as long as it is due, else the minute it is. */
export function minuteInHand(elapsedMs: number, noted: readonly HeartRateMoment[]): HeartRateMoment {
  const minute = Math.max(1, Math.floor(elapsedMs / MS_PER_MINUTE));
  const [first, ...later] = ASKED_MINUTES;
  if (!noted.includes(atMinute(first))) return atMinute(first);
  const due = later.find((asked) => asked <= minute && !noted.includes(atMinute(asked)));
  return atMinute(due ?? Math.min(99, minute));
}
