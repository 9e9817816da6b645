import { z } from 'zod';
import type { Choices } from '#core/plan/compose';
import { exerciseIdSchema } from '#core/protocol/exercises';
import { protocolIdSchema, tempoIdSchema } from '#core/protocol/protocols';
import { limbSchema, positionSchema } from '#core/quantity/limb';
import { schoolIdSchema } from '#core/rules/schools';

export const choicesSchema = z.object({
  limb: limbSchema,
  position: positionSchema,
  exerciseId: exerciseIdSchema,
  schoolId: schoolIdSchema,
  protocolId: protocolIdSchema,
  tempoId: tempoIdSchema,
  restMs: z
    .number('Enter the rest in seconds.')
    .int()
    .min(0, 'A rest cannot be negative.')
    .max(600_000, 'A rest is at most 10 minutes.'),
  percentLop: z.number('Enter a share of LOP in %.').min(1, 'At least 1 %.').max(200, 'At most 200 %.'),
  percentOneRepMax: z.number('Enter a share of 1RM in %.').min(1, 'At least 1 %.').max(200, 'At most 200 %.'),
}) satisfies z.ZodType<Choices>;

/** A prescription to sign. The server works every figure out again from what is on record. */
export const newPrescriptionSchema = choicesSchema.extend({
  occlusionId: z.string('Measure the limb first.').min(1, 'Measure the limb first.'),
  strengthTestId: z.string('Record a strength test first.').min(1, 'Record a strength test first.'),
  weightKitId: z.string('Choose the weights.').min(1, 'Choose the weights.'),
  /** Why a clinician passes the guards; required when there are any. */
  overrideReason: z.string().trim().max(400, 'At most 400 characters.').optional(),
});
export type NewPrescription = z.infer<typeof newPrescriptionSchema>;
