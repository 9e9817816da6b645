import { type Message, msg } from '../../message/message';
import { isWeighed } from '../../protocol/exercise';
import { isEqual } from '../../quantity/is-equal';
import type { Bounds } from './bounds';
import { type Found, search } from './search';
import { type For, minutesOf, type Tried } from './tried';
import { ALTERNATIVE_IDS, type AlternativeId } from './wish';
import type { Work } from './work';

type Way = {
  label: Message;
  /** Whether that would be another way than the best one's. */
  when?: (best: Tried) => boolean;
  /** Which exercises it may be made of. */
  may: (work: Work, best: Tried) => boolean;
  /** What the whole is to be. */
  is?: (tried: Tried, best: Tried) => boolean;
};

const isOf = (work: Work, tried: Tried): boolean => tried.some(({ id }) => id === work.id);

const usesBands = (tried: Tried): boolean => tried.some(({ exercise }) => exercise.equipment === 'bands');
const isIn = (tried: Tried, position: string): boolean =>
  tried.some(({ choices }) => choices.some((choice) => choice.position === position));

/** In what way another session may be wished for. */
export const ALTERNATIVES: Record<AlternativeId, Way> = {
  'with-bands': {
    label: msg('With bands'),
    may: ({ exercise }) => exercise.equipment === 'bands' || !isWeighed(exercise),
    when: (best) => !usesBands(best),
    is: usesBands,
  },
  'without-kit': {
    label: msg('Without kit'),
    may: ({ exercise, choices }) =>
      exercise.equipment === 'body-weight' ||
      exercise.equipment === 'none' ||
      (exercise.equipment === 'ankle-weights' && choices.every(({ load }) => load.kind === 'unweighed')),
    when: (best) => best.some(({ exercise }) => isWeighed(exercise) || exercise.equipment === 'machine'),
  },
  'no-floor': {
    label: msg('Nothing lying down'),
    may: ({ choices }) => choices.every(({ position }) => position !== 'lying'),
    when: (best) => isIn(best, 'lying'),
  },
  seated: {
    label: msg('Nothing standing'),
    may: ({ choices }) => choices.every(({ position }) => position !== 'standing'),
    when: (best) => isIn(best, 'standing'),
  },
  shorter: {
    label: msg('Shorter'),
    may: () => true,
    is: (tried, best) => minutesOf(tried) <= SHORTER * minutesOf(best),
  },
  other: {
    label: msg('Other exercises'),
    may: (work, best) => !isOf(work, best),
  },
};

/** Less than this share of the time is shorter. */
const SHORTER = 0.75;
export const MOST_ALTERNATIVES = 2;

/** A session of another way. */
export type FoundWay = Found & { id: AlternativeId };

/** The two best sessions of another way than the best one, each of another. */
export function alternativesTo(
  best: Found,
  works: readonly Work[],
  of: For,
  bounds: Bounds | null,
  isPossible: (work: Work) => boolean,
): FoundWay[] {
  const found = ALTERNATIVE_IDS.flatMap((id): FoundWay[] => {
    const { when, may, is } = ALTERNATIVES[id];
    if (when?.(best.tried) === false) return [];
    const next = search(
      works.filter((work) => may(work, best.tried)),
      of,
      bounds,
      { isPossible, isWanted: (tried) => is?.(tried, best.tried) ?? true },
    );
    return next.session ? [{ ...next, id }] : [];
  });
  return found
    .sort((a, b) => b.judged.points - a.judged.points)
    .filter(
      ({ session }, place) =>
        !isEqual(session, best.session) &&
        found.findIndex((other) => isEqual(other.session, session)) === place,
    )
    .slice(0, MOST_ALTERNATIVES);
}
