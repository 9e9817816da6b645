import { z } from 'zod';
import { msg, type Text } from '../message/message';
import { byName } from '../quantity/by-name';
import { isEqual } from '../quantity/is-equal';
import { LIMBS, type Limb, limbKind } from '../quantity/limb';
import type { Measure } from './measure';
import { STANDARD } from './standard-measures';

type StandardMeasureId = keyof typeof STANDARD;

/** The measures every practice has (rule OUT-1). */
export const MEASURES: Readonly<Record<StandardMeasureId, Measure>> = byName(STANDARD);

/** The id of a measure, standard or the practice's own. */
export const measureIdSchema = z
  .string()
  .regex(/^[a-z0-9-]{1,60}$/, msg('An id is of small letters, figures and dashes.'));
export type MeasureId = z.infer<typeof measureIdSchema>;

/** Every measure by its id. */
export type MeasureBook = Readonly<Record<MeasureId, Measure>>;

/** What the practice has added, or says otherwise of a standard one under the same id. */
export const measureBook = (own: MeasureBook): MeasureBook => byName({ ...MEASURES, ...own });

/**
 * A measure of the book. One that is not in it, such as one of another practice, is shown by its id and judged by nothing.
 */
export const measureOf = (book: MeasureBook, id: MeasureId): Measure => book[id] ?? { ...UNKNOWN, label: id };

const UNKNOWN: Measure = {
  label: '',
  unit: '?',
  better: 'neither',
  of: 'person',
  cue: msg('No longer described.'),
  repeats: 1,
  take: 'mean',
  lowest: -1e9,
  highest: 1e9,
  decimals: 2,
  error: { kind: 'percent', value: 10 },
};

const ELSEWHERE: readonly MeasureId[] = ['one-rep-max', 'lop'] satisfies StandardMeasureId[];

/** What is taken in Outcomes, in the order of the book; 1RM and LOP are in Load and in Measure already. */
export const takenHere = (book: MeasureBook): { value: MeasureId; label: Text }[] =>
  Object.entries(book)
    .filter(([id, { isLeftOut }]) => !isLeftOut && !ELSEWHERE.includes(id))
    .map(([value, { label }]) => ({ value, label }));

/** The limbs a measure is taken of; none where it is of the person. */
export function limbsFor({ of }: Pick<Measure, 'of'>): Limb[] {
  if (of === 'person') return [];
  return LIMBS.filter((limb) => of === 'limb' || limbKind(limb) === of);
}

const KEPT_WITH_FIGURES = ['unit', 'better', 'of', 'take', 'setting', 'isAsked', 'isSize'] as const;

/**
 * What may no longer be changed of a measure that has figures, since they would say something else; none where nothing is.
 * Its words, its bounds and its error may.
 */
export const changesFigures = (known: Measure, next: Measure): (keyof Measure)[] =>
  KEPT_WITH_FIGURES.filter((field) => !isEqual(known[field], next[field]));
