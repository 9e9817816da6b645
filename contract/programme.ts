import type { z } from 'zod';
import { programmeSchema } from '#core/course/programme';
import { overrideReasonSchema } from './prescription';

/** A block to keep. A new one takes the place of the one before. */
export const newProgrammeSchema = programmeSchema.extend({
  overrideReason: overrideReasonSchema,
});
export type NewProgramme = z.infer<typeof newProgrammeSchema>;
