import { list, type Message, msg } from '../message/message';
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

const STEPS = { marks: msg('mark'), turns: msg('turn'), squeezes: msg('squeeze') } as const;

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
}): Message {
  if (counts === 'marks') return msg('mark {mark}', { mark });
  const place =
    counts === 'turns'
      ? msg('{mark, plural, one {# turn} other {# turns}}', { mark })
      : msg('{mark, plural, one {# squeeze} other {# squeezes}}', { mark });
  return tension ? list([place, tension], ', ') : place;
}

/** What one step of what is worn is called. */
export const stepName = ({ counts = 'marks' }: { counts?: Counted | 'marks' | undefined }): Message =>
  STEPS[counts];

/** The part of a place to tighten to that says how it is counted. */
export const countedAs = ({ counts, tension }: AtMark): Pick<AtMark, 'counts' | 'tension'> => ({
  ...(counts ? { counts } : {}),
  ...(tension ? { tension } : {}),
});
