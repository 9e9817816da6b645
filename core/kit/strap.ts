import { z } from 'zod';
import { msg } from '../message/message';
import { howManySchema } from '../quantity/how-many';
import { limbKindSchema } from '../quantity/limb';
import { placesSchema } from '../quantity/place';

/** What is worn without a gauge: a strap with printed marks, a wrap by its turns, a hand-pump cuff by its squeezes (rule FIT-5). */
export const strapSchema = z
  .object({
    id: z.string().min(1).max(80),
    label: z.string().trim().min(1, msg('Give the strap a name.')).max(60),
    limbKind: limbKindSchema,
    howMany: howManySchema,
    places: placesSchema,
    widthCm: z.number(msg('Enter the width.')).min(2, msg('At least 2 cm.')).max(25, msg('At most 25 cm.')),
    /** What its marks count; straps of earlier releases all have marks. */
    counts: z.enum(['marks', 'turns', 'squeezes']).default('marks'),
    firstMark: z.number(msg('Enter the first one.')).min(0).max(100),
    lastMark: z.number(msg('Enter the last one.')).min(0).max(100),
  })
  .refine(({ firstMark, lastMark }) => firstMark < lastMark, {
    path: ['lastMark'],
    message: msg('The last must be above the first.').message,
  });
export type Strap = z.infer<typeof strapSchema>;
