import { z } from 'zod';
import { limbKindSchema } from '../quantity/limb';
import { placesSchema } from '../quantity/place';

/** What is worn without a gauge: a strap with printed marks, a wrap by its turns, a hand-pump cuff by its squeezes (rule FIT-5). */
export const strapSchema = z
  .object({
    id: z.string().min(1).max(80),
    label: z.string().trim().min(1, 'Give the strap a name.').max(60),
    limbKind: limbKindSchema,
    places: placesSchema,
    widthCm: z.number('Enter the width.').min(2, 'At least 2 cm.').max(25, 'At most 25 cm.'),
    /** What its marks count; straps of earlier releases all have marks. */
    counts: z.enum(['marks', 'turns', 'squeezes']).default('marks'),
    firstMark: z.number('Enter the first one.').min(0).max(100),
    lastMark: z.number('Enter the last one.').min(0).max(100),
  })
  .refine(({ firstMark, lastMark }) => firstMark < lastMark, {
    path: ['lastMark'],
    message: 'The last must be above the first.',
  });
export type Strap = z.infer<typeof strapSchema>;
