import { z } from 'zod';

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
