import { z } from 'zod';
import { placesSchema } from '../quantity/place';

/** A gauge with its pump. Pressures in mmHg. */
export const pumpSchema = z.object({
  id: z.string().min(1).max(80),
  label: z.string().trim().min(1, 'Give the pump a name.').max(60),
  /** By hand: squeezed and read by eye. Regulated: told a pressure, which it reaches and holds. */
  kind: z.enum(['by-hand', 'regulated']),
  divisionMmHg: z
    .number('Enter the division in mmHg.')
    .int()
    .min(1, 'At least 1 mmHg.')
    .max(20, 'At most 20 mmHg.'),
  /** Whether the cuff holds its pressure once the pump is unplugged. */
  keepsPressure: z.boolean(),
  places: placesSchema,
});
export type Pump = z.infer<typeof pumpSchema>;

/** Below this a cuff counts as let down: a gauge seldom reads zero to the millimetre. */
export const CUFF_DOWN_MMHG = 5;
