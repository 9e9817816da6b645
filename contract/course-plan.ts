import { z } from 'zod';
import { coursePlanChoiceSchema, coursePlanStateSchema, ladderAnswersSchema } from '#core/course';
import { msg } from '#core/message';
import { ladderRungSchema } from '#core/protocol';
import { limbSchema } from '#core/quantity';
import { heavyWorkChoiceSchema } from '#core/strength';
import { overrideReasonSchema } from './prescription';

/** What is changed about a plan; what is left out stays. */
export const coursePlanChangeSchema = coursePlanChoiceSchema
  .extend({ state: coursePlanStateSchema })
  .partial()
  .refine((change) => Object.keys(change).length > 0, msg('Say what to change.'));
export type CoursePlanChange = z.infer<typeof coursePlanChangeSchema>;

/** Heavy work to keep, with when it was done. */
export const newHeavyWorkSchema = heavyWorkChoiceSchema.extend({ atMs: z.number().int() });
export type NewHeavyWork = z.infer<typeof newHeavyWorkSchema>;

/** A limb checked for a rung, and the rung to enter; above what the answers allow with a clinician's reason (rule PRO-5). */
export const newRungCheckSchema = z.object({
  limb: limbSchema,
  answers: ladderAnswersSchema,
  rung: ladderRungSchema,
  overrideReason: overrideReasonSchema,
});
export type NewRungCheck = z.infer<typeof newRungCheckSchema>;

/** Whose last session is reviewed; none for a plan that is only being made. */
export const lastReviewOfSchema = z.object({ coursePlanId: z.string().min(1).optional() });
