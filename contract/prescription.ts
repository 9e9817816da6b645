import { z } from 'zod';
import { sessionChoiceSchema } from '#core/plan/choices';

const overrideReason = z.string().trim().max(400, 'At most 400 characters.').optional();

/** A prescription to sign. The server works every figure out again from what is on record. */
export const newPrescriptionSchema = sessionChoiceSchema.extend({
  /** Why a clinician passes the guards; required when there are any. */
  overrideReason,
});
export type NewPrescription = z.infer<typeof newPrescriptionSchema>;
