import { toDecimals } from '../quantity/rounding';

/** How effort is said after a set: 0 to 10, the repetitions that would still have gone, or 6 to 20. */
export const EFFORT_IN = ['of-ten', 'repetitions-left', 'six-to-twenty'] as const;
export type EffortIn = (typeof EFFORT_IN)[number];

const MOST = 10;
const [SIX, TWENTY] = [6, 20];
const POINTS_PER_STEP = (TWENTY - SIX) / MOST;

/** A way of saying effort: what is asked for, what may be said, and how it comes to 0–10 and back. */
export type EffortScale = {
  label: string;
  asked: string;
  /** What may be said, the first to the last. */
  said: readonly number[];
  toEffort: (said: number) => number;
  toSaid: (effort: number) => number;
  words: (said: number) => string;
  /** What a figure key says, and what the keys are called. */
  byKey: (figure: number) => number;
  keys: string;
};

const range = (from: number, to: number): number[] =>
  Array.from({ length: to - from + 1 }, (_, place) => from + place);
const same = (value: number): number => value;
const fromMost = (value: number): number => toDecimals(MOST - value, 2);

/** Every effort is kept as 0–10, to two decimals, so that what was said comes back as it was said (rule RUN-2). */
export const EFFORT_SCALES: Record<EffortIn, EffortScale> = {
  'of-ten': {
    label: '0 to 10',
    asked: 'Effort',
    said: range(0, MOST),
    toEffort: same,
    toSaid: (effort) => toDecimals(effort, 1),
    words: String,
    byKey: same,
    keys: '0–9',
  },
  'repetitions-left': {
    label: 'repetitions left',
    asked: 'Repetitions left',
    said: range(0, MOST),
    toEffort: fromMost,
    toSaid: (effort) => toDecimals(MOST - effort, 1),
    words: (left) => `${left} left`,
    byKey: same,
    keys: '0–9',
  },
  'six-to-twenty': {
    label: '6 to 20',
    asked: 'Effort, 6–20',
    said: range(SIX, TWENTY),
    toEffort: (said) => toDecimals((said - SIX) / POINTS_PER_STEP, 2),
    toSaid: (effort) => Math.round(SIX + effort * POINTS_PER_STEP),
    words: (said) => `${said} of 20`,
    byKey: (figure) => 10 + figure,
    keys: '0–9 for 10–19',
  },
};

/** @example effortWords(7, 'repetitions-left') //=> '3 left' */
export const effortWords = (effort: number, effortIn: EffortIn): string => {
  const { toSaid, words } = EFFORT_SCALES[effortIn];
  return words(toSaid(effort));
};

/**
 * What effort a set is likely to be felt as, from the repetitions that would still go; beyond ten nobody can tell (RUN-2).
 * @example likelyWords(3, 'of-ten') //=> 'effort about 7'
 */
export function likelyWords(left: number, effortIn: EffortIn): string {
  if (left > MOST) return `more than ${MOST} repetitions left`;
  const { asked, toSaid } = EFFORT_SCALES[effortIn];
  return `${asked.toLowerCase()} about ${toSaid(MOST - left)}`;
}
