import { z } from 'zod';
import { programmeSchema } from '#core/programme/programme';

/** A block to keep. A new one takes the place of the one before. */
export const newProgrammeSchema = programmeSchema.extend({
  /** Why a clinician passes the guards; required when there are any. */
  overrideReason: z.string().trim().max(400, 'At most 400 characters.').optional(),
});
export type NewProgramme = z.infer<typeof newProgrammeSchema>;
