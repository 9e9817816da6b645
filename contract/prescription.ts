import { z } from 'zod';
import { coursePlanChoiceSchema } from '#core/course';
import { msg } from '#core/message';
import { sessionChoiceSchema } from '#core/plan';

/** Why a clinician passes the guards; required when there are any. */
export const overrideReasonSchema = z.string().trim().max(400, msg('At most 400 characters.')).optional();

/** Which plan a signature is for: a new one, or the next version of one that is there. */
export const signedForSchema = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('new-plan'), ...coursePlanChoiceSchema.shape }),
  z.object({ kind: z.literal('next-version'), coursePlanId: z.string().min(1, msg('Say of which plan.')) }),
]);
export type SignedFor = z.infer<typeof signedForSchema>;

/** A prescription to sign. The server works every figure out again from what is on record. */
export const newPrescriptionSchema = sessionChoiceSchema.extend({
  signedFor: signedForSchema,
  overrideReason: overrideReasonSchema,
});
export type NewPrescription = z.infer<typeof newPrescriptionSchema>;
