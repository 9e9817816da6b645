import { z } from 'zod';
import { byName } from '../quantity/by-name';
import { LIMBS, type Limb, limbKind } from '../quantity/limb';
import { STANDARD } from './standard-measures';

/** How far one measurement is off by chance: in the measure's own unit, or in % of the value. */
const errorSchema = z.object({
  kind: z.enum(['absolute', 'percent']),
  value: z.number('Enter the typical error.').positive('An error is above nothing.').max(1000),
});

/** Something that is measured to see whether anybody got better (rule OUT-1): the standard ones, and what a practice adds. */
export const measureSchema = z
  .object({
    label: z.string().trim().min(1, 'Give the measure a name.').max(60, 'At most 60 letters.'),
    unit: z.string().trim().min(1, 'Say what it is counted in.').max(20, 'At most 20 letters.'),
    /** What is an improvement; neither for what only describes. */
    better: z.enum(['higher', 'lower', 'neither']),
    /** Taken of a limb, or of the person as a whole. */
    of: z.enum(['arm', 'leg', 'limb', 'person']),
    /** How to take it, in one line. */
    cue: z.string().trim().min(1, 'Say in one line how it is taken.').max(200, 'At most 200 letters.'),
    /** How often it is usually taken on one occasion. */
    repeats: z
      .number('Enter a number.')
      .int('A whole number.')
      .min(1, 'At least once.')
      .max(10, 'At most ten.'),
    /** What of several counts. */
    take: z.enum(['mean', 'best']),
    lowest: z.number('Enter the lowest there can be.'),
    highest: z.number('Enter the highest there can be.'),
    decimals: z.number('Enter a number.').int('A whole number.').min(0).max(3, 'At most three.'),
    /** Until the practice's own repeats say better; a working assumption, the practice's to change (rule OUT-2). */
    error: errorSchema,
    /** Whether it is about size, which nothing is said of before day 21 (rule OUT-2). */
    isSize: z.literal(true).optional(),
    /** What has to be the same each time, asked beside the figure: a distance, a joint and angle, a load. */
    setting: z.string().trim().min(1).max(40, 'At most 40 letters.').optional(),
    /** Asked in the person's own words on a screen handed over. */
    isAsked: z.literal(true).optional(),
    /** No longer offered; what was taken by it stays and is judged. */
    isLeftOut: z.literal(true).optional(),
  })
  .refine(({ lowest, highest }) => lowest < highest, {
    path: ['highest'],
    message: 'The highest is above the lowest.',
  });
export type Measure = z.infer<typeof measureSchema>;

type StandardMeasureId = keyof typeof STANDARD;

/** The measures every practice has (rule OUT-1). */
export const MEASURES: Readonly<Record<StandardMeasureId, Measure>> = byName(STANDARD);

/** The id of a measure, standard or the practice's own. */
export const measureIdSchema = z
  .string()
  .regex(/^[a-z0-9-]{1,60}$/, 'An id is of small letters, figures and dashes.');
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
  cue: 'No longer described.',
  repeats: 1,
  take: 'mean',
  lowest: -1e9,
  highest: 1e9,
  decimals: 2,
  error: { kind: 'percent', value: 10 },
};

const ELSEWHERE: readonly MeasureId[] = ['one-rep-max', 'lop'] satisfies StandardMeasureId[];

/** What is taken in Outcomes, in the order of the book; 1RM and LOP stand in Load and in Measure already. */
export const takenHere = (book: MeasureBook): { value: MeasureId; label: string }[] =>
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
  KEPT_WITH_FIGURES.filter((field) => known[field] !== next[field]);
