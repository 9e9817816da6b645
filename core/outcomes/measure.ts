import { z } from 'zod';
import { msg } from '../message/message';
import { messageSchema } from '../message/message-schema';

/** How far one measurement is off by chance: in the measure's own unit, or in % of the value. */
const errorSchema = z.object({
  kind: z.enum(['absolute', 'percent']),
  value: z.number(msg('Enter the typical error.')).positive(msg('An error is above nothing.')).max(1000),
});

/** Something that is measured to see whether a person got better (rule OUT-1): the standard ones, and what a practice adds. */
export const measureSchema = z
  .object({
    /** Label, unit, cue and setting are typed by the practice, or messages of a standard measure. */
    label: z.union([
      z.string().trim().min(1, msg('Give the measure a name.')).max(60, msg('At most 60 letters.')),
      messageSchema,
    ]),
    unit: z.union([
      z.string().trim().min(1, msg('Say what it is counted in.')).max(20, msg('At most 20 letters.')),
      messageSchema,
    ]),
    /** What is an improvement; neither for what only describes. */
    better: z.enum(['higher', 'lower', 'neither']),
    /** Taken of a limb, or of the person as a whole. */
    of: z.enum(['arm', 'leg', 'limb', 'person']),
    /** How to take it, in one line. */
    cue: z.union([
      z.string().trim().min(1, msg('Say in one line how it is taken.')).max(200, msg('At most 200 letters.')),
      messageSchema,
    ]),
    /** How often it is usually taken on one occasion. */
    repeats: z
      .number(msg('Enter a number.'))
      .int(msg('A whole number.'))
      .min(1, msg('At least once.'))
      .max(10, msg('At most ten.')),
    /** What of several counts. */
    take: z.enum(['mean', 'best']),
    lowest: z.number(msg('Enter the lowest there can be.')),
    highest: z.number(msg('Enter the highest there can be.')),
    decimals: z
      .number(msg('Enter a number.'))
      .int(msg('A whole number.'))
      .min(0)
      .max(3, msg('At most three.')),
    /** Until the practice's own repeats say better; a working assumption, the practice's to change (rule OUT-2). */
    error: errorSchema,
    /** Whether it is about size, which nothing is said of before day 21 (rule OUT-2). */
    isSize: z.literal(true).optional(),
    /** What has to be the same each time, asked beside the figure: a distance, a joint and angle, a load. */
    setting: z
      .union([z.string().trim().min(1).max(40, msg('At most 40 letters.')), messageSchema])
      .optional(),
    /** What machine and heart show at its end, noted beside the figure (chapter 6). */
    reads: z.array(z.enum(['watts', 'speed', 'heart-rate'])).optional(),
    /** Asked in the person's own words on a screen handed over. */
    isAsked: z.literal(true).optional(),
    /** No longer offered; what was taken by it stays and is judged. */
    isLeftOut: z.literal(true).optional(),
  })
  .refine(({ lowest, highest }) => lowest < highest, {
    path: ['highest'],
    message: msg('The highest is above the lowest.').message,
  });
export type Measure = z.infer<typeof measureSchema>;
