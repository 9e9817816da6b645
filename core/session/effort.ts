import { type Message, msg, only, type Text } from '../message/message';
import { toDecimals } from '../quantity/rounding';

/** How effort is said after a set: 0 to 10, the repetitions that would still have gone, or 6 to 20. */
export const EFFORT_IN = ['of-ten', 'repetitions-left', 'six-to-twenty'] as const;
export type EffortIn = (typeof EFFORT_IN)[number];

const MOST = 10;
const [SIX, TWENTY] = [6, 20];
const POINTS_PER_STEP = (TWENTY - SIX) / MOST;

/** A way of saying effort: what is asked for, what may be said, and how it comes to 0–10 and back. */
export type EffortScale = {
  label: Message;
  asked: Message;
  /** What is likely to be said. */
  likely: (said: number) => Message;
  /** What may be said, the first to the last. */
  said: readonly number[];
  toEffort: (said: number) => number;
  toSaid: (effort: number) => number;
  text: (said: number) => Message;
  /** What a figure key says, and what the keys are called. */
  byKey: (figure: number) => number;
  keys: Text;
};

const range = (from: number, to: number): number[] =>
  Array.from({ length: to - from + 1 }, (_, place) => from + place);
const same = (value: number): number => value;
const fromMost = (value: number): number => toDecimals(MOST - value, 2);

/** Every effort is kept as 0–10, to two decimals, so that what was said comes back as it was said (rule RUN-2). */
export const EFFORT_SCALES: Record<EffortIn, EffortScale> = {
  'of-ten': {
    label: msg('0 to 10'),
    asked: msg('Effort'),
    likely: (said) => msg('effort about {said}', { said }),
    said: range(0, MOST),
    toEffort: same,
    toSaid: (effort) => toDecimals(effort, 1),
    text: (said) => only(said),
    byKey: same,
    keys: '0–9',
  },
  'repetitions-left': {
    label: msg('repetitions left'),
    asked: msg('Repetitions left'),
    likely: (said) => msg('repetitions left about {said}', { said }),
    said: range(0, MOST),
    toEffort: fromMost,
    toSaid: (effort) => toDecimals(MOST - effort, 1),
    text: (left) => msg('{left} left', { left }),
    byKey: same,
    keys: '0–9',
  },
  'six-to-twenty': {
    label: msg('6 to 20'),
    asked: msg('Effort, 6–20'),
    likely: (said) => msg('effort, 6–20, about {said}', { said }),
    said: range(SIX, TWENTY),
    toEffort: (said) => toDecimals((said - SIX) / POINTS_PER_STEP, 2),
    toSaid: (effort) => Math.round(SIX + effort * POINTS_PER_STEP),
    text: (said) => msg('{said} of 20', { said }),
    byKey: (figure) => 10 + figure,
    keys: msg('0–9 for 10–19'),
  },
};

/** @example effortWords(7, 'repetitions-left') //=> '3 left' */
export const effortWords = (effort: number, effortIn: EffortIn): Message => {
  const { toSaid, text } = EFFORT_SCALES[effortIn];
  return text(toSaid(effort));
};

/**
 * What effort a set is likely to be felt as, from the repetitions that would still go; beyond ten it cannot be judged (RUN-2).
 * @example likelyWords(3, 'of-ten') //=> 'effort about 7'
 */
export function likelyWords(left: number, effortIn: EffortIn): Message {
  if (left > MOST) return msg('more than {most} repetitions left', { most: MOST });
  const { likely, toSaid } = EFFORT_SCALES[effortIn];
  return likely(toSaid(MOST - left));
}
