import { z } from 'zod';
import { LIMBS, type Limb, limbKind } from '../quantity/limb';
import { RULES } from '../rules/catalogue';

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

const BY_TAPE = {
  unit: 'cm',
  repeats: 2,
  take: 'mean',
  lowest: 10,
  highest: 120,
  decimals: 1,
  error: { kind: 'absolute', value: RULES['OUT-1'].figures.girthErrorCm },
} as const;

const girth = (label: string, of: Measure['of'], cue: string): Measure => ({
  ...BY_TAPE,
  label,
  better: 'higher',
  of,
  cue,
  isSize: true,
});

const outOfTen = { unit: 'of 10', repeats: 1, take: 'mean', lowest: 0, highest: 10, decimals: 0 } as const;

const activity = (place: string): Measure => ({
  ...outOfTen,
  label: `${place} activity of their own`,
  better: 'higher',
  of: 'person',
  cue: 'How well can you do it today? 0 not at all, 10 as well as ever.',
  error: { kind: 'absolute', value: 1 },
  setting: 'The activity',
  isAsked: true,
});

const STANDARD = {
  'girth-10-above-knee': girth(
    'Thigh girth, 10 cm above the knee',
    'leg',
    'Standing, weight even; 10 cm above the upper edge of the kneecap.',
  ),
  'girth-15-above-knee': girth(
    'Thigh girth, 15 cm above the knee',
    'leg',
    'Standing, weight even; 15 cm above the upper edge of the kneecap.',
  ),
  'girth-mid-thigh': girth(
    'Mid-thigh girth',
    'leg',
    'Halfway from the groin fold to the kneecap, muscle relaxed.',
  ),
  'girth-mid-arm': girth('Mid upper arm girth', 'arm', 'Halfway from shoulder to elbow, arm hanging.'),
  'girth-calf': girth('Calf girth', 'leg', 'At its widest, weight even.'),
  'joint-swelling': {
    ...BY_TAPE,
    label: 'Joint girth (swelling)',
    better: 'lower',
    of: 'limb',
    cue: 'Over the middle of the joint, the same bend each time.',
    setting: 'The joint',
  },
  'isometric-force': {
    label: 'Isometric force',
    unit: 'N',
    better: 'higher',
    of: 'limb',
    cue: 'Push or pull as hard as you can for 3 to 5 seconds; a minute between.',
    repeats: 3,
    take: 'best',
    lowest: 1,
    highest: 5000,
    decimals: 0,
    error: { kind: 'percent', value: 5 },
    setting: 'Joint and angle',
  },
  'reps-at-load': {
    label: 'Repetitions at a fixed load',
    unit: 'reps',
    better: 'higher',
    of: 'limb',
    cue: 'The same load and tempo each time, to the last clean repetition.',
    repeats: 1,
    take: 'best',
    lowest: 0,
    highest: 200,
    decimals: 0,
    error: { kind: 'absolute', value: 2 },
    setting: 'Exercise and load',
  },
  'sit-to-stand-30': {
    label: '30 s sit-to-stand',
    unit: 'times',
    better: 'higher',
    of: 'person',
    cue: 'Arms crossed; stands counted in 30 s.',
    repeats: 1,
    take: 'best',
    lowest: 0,
    highest: 60,
    decimals: 0,
    error: { kind: 'absolute', value: 1.2 },
  },
  'walk-10-m': {
    label: '10 m walk',
    unit: 's',
    better: 'lower',
    of: 'person',
    cue: 'Walking start, as fast as is safe; the middle 10 m count.',
    repeats: 2,
    take: 'mean',
    lowest: 1,
    highest: 120,
    decimals: 1,
    error: { kind: 'absolute', value: 0.3 },
  },
  'step-downs': {
    label: 'Single-leg step-downs',
    unit: 'times',
    better: 'higher',
    of: 'leg',
    cue: 'From the same step in 30 s, heel just touching.',
    repeats: 1,
    take: 'best',
    lowest: 0,
    highest: 60,
    decimals: 0,
    error: { kind: 'absolute', value: 2 },
    setting: 'Height of the step',
  },
  'range-of-motion': {
    label: 'Range of motion',
    unit: '°',
    better: 'higher',
    of: 'limb',
    cue: 'Goniometer on the same landmarks, to the first firm stop.',
    repeats: 2,
    take: 'mean',
    lowest: 0,
    highest: 200,
    decimals: 0,
    error: { kind: 'absolute', value: 3 },
    setting: 'Joint and movement',
  },
  'body-mass': {
    label: 'Body mass',
    unit: 'kg',
    better: 'neither',
    of: 'person',
    cue: 'The same scale, light clothes, the same time of day.',
    repeats: 1,
    take: 'mean',
    lowest: 20,
    highest: 350,
    decimals: 1,
    error: { kind: 'absolute', value: 0.5 },
  },
  'resting-heart-rate': {
    label: 'Resting heart rate',
    unit: '/min',
    better: 'lower',
    of: 'person',
    cue: 'Sitting, after five quiet minutes.',
    repeats: 2,
    take: 'mean',
    lowest: 25,
    highest: 180,
    decimals: 0,
    error: { kind: 'absolute', value: 3 },
  },
  vo2max: {
    label: 'VO2max',
    unit: 'ml/kg/min',
    better: 'higher',
    of: 'person',
    cue: 'The same protocol and machine each time.',
    repeats: 1,
    take: 'best',
    lowest: 5,
    highest: 100,
    decimals: 1,
    error: { kind: 'percent', value: 3 },
    setting: 'Protocol',
  },
  'time-to-exhaustion': {
    label: 'Time to exhaustion',
    unit: 's',
    better: 'higher',
    of: 'person',
    cue: 'At the same workload, to when it cannot be held.',
    repeats: 1,
    take: 'best',
    lowest: 1,
    highest: 14_400,
    decimals: 0,
    error: { kind: 'percent', value: 8 },
    setting: 'Workload',
  },
  'heart-rate-at-workload': {
    label: 'Heart rate at a fixed workload',
    unit: '/min',
    better: 'lower',
    of: 'person',
    cue: 'After five minutes at the same workload.',
    repeats: 1,
    take: 'mean',
    lowest: 40,
    highest: 230,
    decimals: 0,
    error: { kind: 'absolute', value: 3 },
    setting: 'Workload',
  },
  'pain-24-h': {
    ...outOfTen,
    label: 'Worst pain in 24 h',
    better: 'lower',
    of: 'person',
    cue: 'The worst it has been since this time yesterday. 0 none, 10 the worst you can think of.',
    error: { kind: 'absolute', value: RULES['OUT-1'].figures.painError },
    isAsked: true,
  },
  'pain-on-test': {
    ...outOfTen,
    label: 'Pain on the provoking test',
    better: 'lower',
    of: 'limb',
    cue: 'The same test each time; ask for the pain while it is done.',
    error: { kind: 'absolute', value: RULES['OUT-1'].figures.painError },
    setting: 'The test',
  },
  'activity-1': activity('First'),
  'activity-2': activity('Second'),
  'activity-3': activity('Third'),
  'global-change': {
    label: 'Change since the beginning',
    unit: 'of 7',
    better: 'higher',
    of: 'person',
    cue: 'All in all, how are you now? −7 very much worse, 0 the same, +7 very much better.',
    repeats: 1,
    take: 'mean',
    lowest: -7,
    highest: 7,
    decimals: 0,
    error: { kind: 'absolute', value: 1 },
    isAsked: true,
  },
  'one-rep-max': {
    label: '1RM',
    unit: 'kg',
    better: 'higher',
    of: 'limb',
    cue: 'Recorded in Load.',
    repeats: 1,
    take: 'best',
    lowest: 0.1,
    highest: 1000,
    decimals: 1,
    error: { kind: 'percent', value: 3.5 },
  },
  lop: {
    label: 'LOP',
    unit: 'mmHg',
    better: 'neither',
    of: 'limb',
    cue: 'Recorded in Measure.',
    repeats: 2,
    take: 'mean',
    lowest: 30,
    highest: 300,
    decimals: 1,
    // Each has its own: half of its expanded uncertainty.
    error: { kind: 'absolute', value: 5 },
  },
} satisfies Record<string, Measure>;
type StandardMeasureId = keyof typeof STANDARD;

/** The measures every practice has (rule OUT-1). */
export const MEASURES: Readonly<Record<StandardMeasureId, Measure>> = STANDARD;

/** The id of a measure, standard or the practice's own. */
export const measureIdSchema = z
  .string()
  .regex(/^[a-z0-9-]{1,60}$/, 'An id is of small letters, figures and dashes.');
export type MeasureId = z.infer<typeof measureIdSchema>;

/** Every measure by its id. */
export type MeasureBook = Readonly<Record<MeasureId, Measure>>;

/** What the practice has added, or says otherwise of a standard one under the same id. */
export const measureBook = (own: MeasureBook): MeasureBook => ({ ...MEASURES, ...own });

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
