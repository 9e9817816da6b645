import { z } from 'zod';
import { msg } from '../message/message';
import { howManySchema } from '../quantity/how-many';
import { limbKindSchema } from '../quantity/limb';
import { placesSchema } from '../quantity/place';

/** One cuff of the kit (rule FIT-2). Lengths in cm, pressure in mmHg. */
export const cuffSchema = z.object({
  id: z.string().min(1).max(80),
  label: z.string().trim().min(1, msg('Give the cuff a name.')).max(60, msg('At most 60 characters.')),
  limbKind: limbKindSchema,
  widthCm: z.number().min(2).max(25),
  girthLowCm: z.number().min(10).max(120),
  girthHighCm: z.number().min(10).max(120),
  shape: z.enum(['straight', 'contoured']),
  bladder: z.enum(['single', 'segmented']),
  canOcclude: z.boolean(),
  maxPressureMmHg: z.number().int().min(50).max(400),
  howMany: howManySchema,
  places: placesSchema,
});
export type Cuff = z.infer<typeof cuffSchema>;

/** Girths a relaxed human arm or thigh can have, in cm; outside is a slip of the tape or the finger. */
export const GIRTH_CM = { arm: { low: 15, high: 65 }, leg: { low: 25, high: 110 } } as const;
