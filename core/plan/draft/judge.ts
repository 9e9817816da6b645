import { list } from '../../message/message';
import { isEqual } from '../../quantity/is-equal';
import { ASPECTS, type Aspect } from './aspects';
import { ASPECT_IDS, type Judged } from './judged';
import { type For, mean, sum, type Tried } from './tried';
import type { Work } from './work';

const valueIn = ({ value }: Aspect, tried: Tried, of: For): number =>
  'each' in value ? mean(tried.map((work) => value.each(work, of))) : value.whole(tried, of);

/**
 * What gives a session its points, 0–100: what a search compares. What is said of an exercise by itself is worked out once, however
 * many sessions it is in.
 */
export function pointsFor(of: For): (tried: Tried) => number {
  const known = new Map<Work, number>();
  const ofEach = (work: Work): number => {
    const before = known.get(work);
    if (before !== undefined) return before;
    const points = sum(
      ASPECT_IDS.map((id) => {
        const { points: most, value } = ASPECTS[id];
        return 'each' in value ? most * value.each(work, of) : 0;
      }),
    );
    known.set(work, points);
    return points;
  };
  const whole = ASPECT_IDS.flatMap((id) => {
    const { points, value } = ASPECTS[id];
    return 'whole' in value ? [{ points, value: value.whole }] : [];
  });
  return (tried) =>
    mean(tried.map(ofEach)) + whole.reduce((points, one) => points + one.points * one.value(tried, of), 0);
}

/** @returns whole points an aspect */
export function judge(tried: Tried, of: For): Judged {
  const aspects = ASPECT_IDS.map((id) => {
    const { points: most, label, words } = ASPECTS[id];
    const points = Math.round(most * valueIn(ASPECTS[id], tried, of));
    return { id, label, points, most, words: words(tried, of) };
  });
  return { points: sum(aspects.map(({ points }) => points)), aspects };
}

/** Two sessions that are done in turn, as one: the mean of their points, and the words of both. */
export function judgedTogether(one: Judged, other: Judged): Judged {
  const aspects = one.aspects.map((aspect, place) => {
    const second = other.aspects[place] ?? aspect;
    const words = isEqual(aspect.words, second.words)
      ? aspect.words
      : list([aspect.words, second.words], '; ');
    return { ...aspect, points: Math.round((aspect.points + second.points) / 2), words };
  });
  return { points: sum(aspects.map(({ points }) => points)), aspects };
}
