import { z } from 'zod';
import { readingSchoolSchema, trialSchema } from '#core/occlusion-pressure/trial';
import { exerciseIdSchema } from '#core/protocol/exercises';
import { limbSchema, positionSchema } from '#core/quantity/limb';
import { LIMITS } from '#core/rules/limits';
import { strengthTestSchema } from '#core/strength/one-rep-max';

export const newFitSchema = z.object({
  limb: limbSchema,
  girthCm: z.number('Enter the girth in cm.'),
  cuffId: z.string('Choose a cuff.').min(1, 'Choose a cuff.'),
});
export type NewFit = z.infer<typeof newFitSchema>;

export const pulseSiteSchema = z.enum(['radial', 'posterior-tibial', 'dorsalis-pedis']);
export type PulseSite = z.infer<typeof pulseSiteSchema>;
export const pulseMethodSchema = z.enum(['doppler', 'palpation']);
export type PulseMethod = z.infer<typeof pulseMethodSchema>;

/** A measurement of limb occlusion pressure. The cuff and the girth are those fitted to the limb. */
export const newOcclusionSchema = z.object({
  limb: limbSchema,
  position: positionSchema,
  method: pulseMethodSchema,
  site: pulseSiteSchema,
  readingSchool: readingSchoolSchema,
  trials: z
    .array(trialSchema)
    .min(1, 'Take at least one trial.')
    .max(LIMITS.trials.most, `At most ${LIMITS.trials.most} trials make one measurement.`),
});
export type NewOcclusion = z.infer<typeof newOcclusionSchema>;

export const sideSchema = z.enum(['left', 'right', 'both']);

export const newStrengthTestSchema = strengthTestSchema.extend({
  exerciseId: exerciseIdSchema,
  side: sideSchema,
});
export type NewStrengthTest = z.infer<typeof newStrengthTestSchema>;
