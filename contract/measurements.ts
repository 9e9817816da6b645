import { z } from 'zod';
import type { tightnessSchema } from '#core/cuff';
import { msg } from '#core/message';
import {
  pulseMethodSchema,
  pulseSiteSchema,
  quickCheckSchema,
  readingSchoolSchema,
  trialSchema,
} from '#core/occlusion-pressure';
import { limbSchema, positionSchema } from '#core/quantity';
import { RULES } from '#core/rules';
import type { clearanceSchema, consentSchema, dayCheckSchema, screeningAnswersSchema } from '#core/screening';
import { sideSchema, strengthTestSchema } from '#core/strength';

export type NewScreening = z.input<typeof screeningAnswersSchema>;
export type NewClearance = z.infer<typeof clearanceSchema>;
export type NewConsent = z.infer<typeof consentSchema>;
export type NewDayCheck = z.infer<typeof dayCheckSchema>;
export type NewTightness = z.infer<typeof tightnessSchema>;

const girth = { limb: limbSchema, girthCm: z.number(msg('Enter the girth in cm.')) };

/** A girth with what goes on there. */
export const newFitSchema = z.discriminatedUnion('kind', [
  z.object({
    ...girth,
    kind: z.literal('cuff'),
    cuffId: z.string(msg('Choose a cuff.')).min(1, msg('Choose a cuff.')),
  }),
  z.object({
    ...girth,
    kind: z.literal('strap'),
    strapId: z.string(msg('Choose a strap.')).min(1, msg('Choose a strap.')),
  }),
]);
export type NewFit = z.infer<typeof newFitSchema>;

/** A measurement of limb occlusion pressure. The cuff and the girth are those fitted to the limb. */
export const newOcclusionSchema = z.object({
  limb: limbSchema,
  position: positionSchema,
  method: pulseMethodSchema,
  site: pulseSiteSchema,
  /** The gauge it is read from; its division enters the uncertainty. */
  pumpId: z.string(msg('Choose the gauge.')).min(1, msg('Choose the gauge.')),
  readingSchool: readingSchoolSchema,
  trials: z
    .array(trialSchema)
    .min(1, msg('Take at least one trial.'))
    .max(
      RULES['LOP-3'].figures.trials.most,
      msg('At most {maximum} trials make one measurement.', {
        maximum: RULES['LOP-3'].figures.trials.most,
      }),
    ),
});
export type NewOcclusion = z.infer<typeof newOcclusionSchema>;

/** A quick check of a stored pressure by palpation. */
export const newQuickCheckSchema = quickCheckSchema.extend({ occlusionId: z.string().min(1) });
export type NewQuickCheck = z.infer<typeof newQuickCheckSchema>;

export const newStrengthTestSchema = strengthTestSchema.extend({
  exerciseId: z.string().min(1, msg('Choose an exercise.')),
  side: sideSchema,
  /** Why a guard is passed; from a clinician only (rule SCR-4). */
  overrideReason: z.string().trim().max(400).optional(),
});
export type NewStrengthTest = z.infer<typeof newStrengthTestSchema>;
