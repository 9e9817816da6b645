import { z } from 'zod';
import { sessionChoiceSchema } from '#core/plan/choices';

/** Why a clinician passes the guards; required when there are any. */
export const overrideReasonSchema = z.string().trim().max(400, 'At most 400 characters.').optional();

/** A prescription to sign. The server works every figure out again from what is on record. */
export const newPrescriptionSchema = sessionChoiceSchema.extend({
  overrideReason: overrideReasonSchema,
});
export type NewPrescription = z.infer<typeof newPrescriptionSchema>;
