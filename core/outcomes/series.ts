import { length, type Message, msg } from '../message/message';
import type { Library } from '../protocol/exercises';
import type { Position } from '../quantity/limb';
import { LIMB_NAMES, type Limb, otherSide, POSITION_NAMES, SIDE_NAMES } from '../quantity/limb';
import type { Side } from '../strength/side';
import { errorInUnit, type TypicalError, typicalError } from './error';
import type { Measure } from './measure';
import { type MeasureBook, type MeasureId, measureOf } from './measures';
import { isSameFollowed, measuredWords } from './taken';
import { type Occasion, type Verdict, verdict } from './verdict';

/** A 1RM in kg, or an LOP in mmHg with its own expanded uncertainty, as Load and Measure keep them. */
export type TestedOnce =
  | { kind: 'one-rep-max'; atMs: number; value: number; exerciseId: string; side: Side }
  | {
      kind: 'lop';
      atMs: number;
      value: number;
      limb: Limb;
      position: Position;
      widthCm: number;
      uncertaintyMmHg: number;
    };

/** A value that was taken here. */
export type TakenOnce = {
  measureId: MeasureId;
  limb: Limb | null;
  setting: string;
  atMs: number;
  value: number;
  /** Why it does not count; null where it does. */
  withdrawn: string | null;
};

/** One thing followed over time: the same measure, limb and setting. */
export type Series = {
  key: string;
  measureId: MeasureId;
  measure: Measure;
  label: Message;
  limb: Limb | null;
  setting: string;
  /** Oldest first, each with its error in the measure's unit. */
  points: Occasion[];
  error: TypicalError;
  /** Of the newest against the first; null while there is one only. */
  verdict: Verdict | null;
};

/** All that is on record of a person, with the repeats of the whole practice by measure. */
export type AllMeasured = {
  taken: readonly TakenOnce[];
  tested: readonly TestedOnce[];
  pairs: Partial<Record<MeasureId, readonly (readonly [number, number])[] | undefined>>;
};

export const counts = ({ withdrawn }: Pick<TakenOnce, 'withdrawn'>): boolean => withdrawn === null;

type Loose = Omit<Series, 'error' | 'verdict' | 'points' | 'measure'> & {
  points: (Omit<Occasion, 'error'> & { uncertainty?: number })[];
};

/**
 * All that is followed of a person, each against its own error (rule OUT-2): what can get better first, the newest of it before
 * the rest.
 * What was withdrawn does not count.
 */
export function seriesOf(
  { taken, tested, pairs }: AllMeasured,
  { library, book }: { library: Library; book: MeasureBook },
): Series[] {
  const all = new Map<string, Loose>();
  for (const [what, point] of [
    ...taken
      .filter(counts)
      .map((one) => [aboutTaken(one, book), { atMs: one.atMs, value: one.value }] as const),
    ...tested.map((one) => [aboutTested(one, library), pointOf(one)] as const),
  ]) {
    const known = all.get(what.key);
    if (known) known.points.push(point);
    else all.set(what.key, { ...what, points: [point] });
  }
  return [...all.values()]
    .map((series) => judged(series, measureOf(book, series.measureId), pairs[series.measureId] ?? []))
    .sort((a, b) => isAside(a) - isAside(b) || newestMs(b) - newestMs(a) || a.key.localeCompare(b.key));
}

/** The same of the other limb; undefined where it was not taken, or where it is of the person. */
export const otherSideOf = (
  { measureId, limb, setting }: Series,
  all: readonly Series[],
): Series | undefined =>
  limb ? all.find((one) => isSameFollowed(one, { measureId, limb: otherSide(limb), setting })) : undefined;

/** What only describes comes after what can get better. */
export const isAside = ({ measure }: Pick<Series, 'measure'>): number => Number(measure.better === 'neither');

const newestMs = ({ points }: Series): number => points.at(-1)?.atMs ?? 0;

const keyOf = (measureId: MeasureId, limb: Limb | null, setting: string): string =>
  `${measureId} ${limb ?? ''} ${setting.toLowerCase()}`;

function aboutTaken({ measureId, limb, setting }: TakenOnce, book: MeasureBook): Omit<Loose, 'points'> {
  const label = measuredWords({ limb, setting }, measureOf(book, measureId));
  return { key: keyOf(measureId, limb, setting), measureId, limb, setting, label };
}

function aboutTested(one: TestedOnce, library: Library): Omit<Loose, 'points'> {
  if (one.kind === 'lop') {
    const setting = `${one.position}, ${one.widthCm} cm`;
    const label = msg('LOP, {limb}, {position}, cuff of {widthCm}', {
      limb: LIMB_NAMES[one.limb],
      position: POSITION_NAMES[one.position],
      widthCm: length(one.widthCm),
    });
    return { key: keyOf('lop', one.limb, setting), measureId: 'lop', limb: one.limb, setting, label };
  }
  const setting = `${one.exerciseId}, ${one.side}`;
  return {
    key: keyOf('one-rep-max', null, setting),
    measureId: 'one-rep-max',
    limb: null,
    setting,
    label: msg('1RM, {exercise}, {side}', {
      exercise: library[one.exerciseId]?.label ?? one.exerciseId,
      side: SIDE_NAMES[one.side],
    }),
  };
}

const pointOf = (one: TestedOnce) => ({
  atMs: one.atMs,
  value: one.value,
  ...(one.kind === 'lop' ? { uncertainty: one.uncertaintyMmHg } : {}),
});

function judged(
  { points: loose, ...series }: Loose,
  measure: Measure,
  pairs: readonly (readonly [number, number])[],
): Series {
  const error = typicalError(measure, pairs);
  const inOrder = [...loose].sort((a, b) => a.atMs - b.atMs);
  const [first] = inOrder;
  const points = inOrder.map(({ uncertainty, ...point }): Occasion => {
    // An LOP's U covers 95 %: half of it is its own standard error.
    const own = uncertainty === undefined ? errorInUnit(error, first?.value ?? 0) : uncertainty / 2;
    return { ...point, error: own };
  });
  const [oldest, newest] = [points[0], points.at(-1)];
  return {
    ...series,
    measure,
    points,
    error,
    verdict: oldest && newest && oldest !== newest ? verdict(measure, oldest, newest) : null,
  };
}
