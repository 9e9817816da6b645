import { z } from 'zod';
import { reachedSchema } from '../aerobic/fitness';
import { list, type Message, msg } from '../message/message';
import { LIMB_NAMES, limbSchema } from '../quantity/limb';
import { toDecimals } from '../quantity/rounding';
import type { Measure } from './measure';
import { limbsFor, measureIdSchema } from './measures';

/** A measure as it was taken on one occasion; `repeats` in its unit, in the order they were taken. */
export const takenSchema = z.object({
  measureId: measureIdSchema,
  /** Null where it is of the person as a whole. */
  limb: limbSchema.nullable(),
  repeats: z
    .array(z.number(msg('Enter a figure.')))
    .min(1, msg('Enter at least one figure.'))
    .max(10, msg('At most ten.')),
  /** Distance, joint and angle, load, or the activity in their words: what has to be the same to compare. */
  setting: z.string().trim().max(80, msg('At most 80 letters.')),
  /** Why it may say less than it should: "to form failure", "pain-limited"; empty where nothing is. */
  note: z.string().trim().max(200, msg('At most 200 letters.')),
  /** What machine and heart showed at its end; not there where nothing was read. */
  reached: reachedSchema.optional(),
});
export type Taken = z.infer<typeof takenSchema>;

/** What keeps an entry from being right (rule OUT-1), in words, by its field; none where it is. @example a girth of 5 cm //=> [{ field: 'repeats', … }] */
export function checkTaken(
  { limb, repeats, setting, reached }: Taken,
  measure: Measure,
): { field: keyof Taken; message: Message }[] {
  const limbs = limbsFor(measure);
  const outside = repeats.find((value) => value < measure.lowest || value > measure.highest);
  return [
    ...(limbs.length > 0 && (limb === null || !limbs.includes(limb))
      ? [{ field: 'limb' as const, message: msg('Choose the limb it was taken of.') }]
      : []),
    ...(limbs.length === 0 && limb !== null
      ? [
          {
            field: 'limb' as const,
            message: msg('{measure} is of the person, not of a limb.', { measure: measure.label }),
          },
        ]
      : []),
    ...(outside === undefined
      ? []
      : [
          {
            field: 'repeats' as const,
            message: msg('{outside} {unit}: {measure} lies between {lowest} and {highest}.', {
              outside,
              unit: measure.unit,
              measure: measure.label,
              lowest: measure.lowest,
              highest: measure.highest,
            }),
          },
        ]),
    ...(reached && !measure.reads
      ? [
          {
            field: 'reached' as const,
            message: msg('{measure} is taken without watts, speed and heart rate.', {
              measure: measure.label,
            }),
          },
        ]
      : []),
    ...(measure.setting !== undefined && setting === ''
      ? [
          {
            field: 'setting' as const,
            message: msg('{setting}: say it, so that next time is the same.', { setting: measure.setting }),
          },
        ]
      : []),
  ];
}

/** The value of an occasion, to the measure's decimals. @example mean of 52.1 and 52.4 cm //=> 52.3 */
export function valueTaken(repeats: readonly number[], { take, better, decimals }: Measure): number {
  const best = better === 'lower' ? Math.min(...repeats) : Math.max(...repeats);
  const value = take === 'best' ? best : repeats.reduce((sum, one) => sum + one, 0) / repeats.length;
  return toDecimals(value, decimals);
}

/** What is followed over time: a measure of a limb, or of the person, as it was set. */
export type Followable = Pick<Taken, 'measureId' | 'limb' | 'setting'>;

/** Whether two are of the same measure, limb and setting, so that they may be compared; whatever letters were typed. */
export const isSameFollowed = (a: Followable, b: Followable): boolean =>
  a.measureId === b.measureId && a.limb === b.limb && a.setting.toLowerCase() === b.setting.toLowerCase();

/** What was taken, of which limb, as it was set. @example 'Calf girth, left thigh' */
export const measuredWords = (
  { limb, setting }: Pick<Taken, 'limb' | 'setting'>,
  { label }: Measure,
): Message => list([label, ...(limb ? [LIMB_NAMES[limb]] : []), ...(setting ? [setting] : [])], ', ');
