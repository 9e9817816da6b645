/** What is counted where a strap has no marks: turns of a wrap, or squeezes of a hand pump without a gauge (rules FIT-5, TIGHT). */
export type Counted = 'turns' | 'squeezes';

/** Where something is tightened to by feel: a printed mark, turns at a tension in words, or squeezes. */
export type AtMark = {
  mark: number;
  /** Not there where it is a printed mark. */
  counts?: Counted | undefined;
  /** How far a wrap is stretched. */
  tension?: string | undefined;
};

const STEPS = { marks: 'mark', turns: 'turn', squeezes: 'squeeze' } as const;

/**
 * The place, as it is in a plan or as it is stored, where what is not said is said to be marks and null.
 * @example markWords({ mark: 6 }) //=> 'mark 6'
 * @example markWords({ mark: 4, counts: 'turns', tension: 'stretched by half' }) //=> '4 turns, stretched by half'
 */
export function markWords({
  mark,
  counts = 'marks',
  tension,
}: {
  mark: number;
  counts?: Counted | 'marks' | undefined;
  tension?: string | null | undefined;
}): string {
  if (counts === 'marks') return `mark ${mark}`;
  const words = `${mark} ${mark === 1 ? STEPS[counts] : counts}`;
  return tension ? `${words}, ${tension}` : words;
}

/** What one step of what is worn is called. */
export const stepName = ({ counts = 'marks' }: { counts?: Counted | 'marks' | undefined }): string =>
  STEPS[counts];

/** The part of a place to tighten to that says how it is counted. */
export const countedAs = ({ counts, tension }: AtMark): Pick<AtMark, 'counts' | 'tension'> => ({
  ...(counts ? { counts } : {}),
  ...(tension ? { tension } : {}),
});
