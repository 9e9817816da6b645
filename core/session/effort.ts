/** How effort is said after a set: 0 to 10, or the repetitions that would still have gone. */
export const EFFORT_IN = ['of-ten', 'repetitions-left'] as const;
export type EffortIn = (typeof EFFORT_IN)[number];

const MOST = 10;

/**
 * Effort 0–10 from what was said, and what is said for an effort: each way the same (rule RUN-2).
 * @example turned(3, 'repetitions-left') //=> 7
 */
export const turned = (value: number, effortIn: EffortIn): number =>
  effortIn === 'of-ten' ? value : MOST - value;

/** @example effortWords(7, 'repetitions-left') //=> '3 left' */
export const effortWords = (effort: number, effortIn: EffortIn): string =>
  effortIn === 'of-ten' ? String(effort) : `${turned(effort, effortIn)} left`;

/** What it is asked as. */
export const EFFORT_ASKED: Record<EffortIn, string> = {
  'of-ten': 'Effort',
  'repetitions-left': 'Repetitions left',
};
