import { z } from 'zod';
import { messageSchema } from '#core/message';

/**
 * What the server answers when it refuses: RFC 9457 problem details. `title` and `detail` are English for programs and logs; `says`
 * is the same as a message, and `errors` are the fields to correct.
 */
export const problemSchema = z.object({
  type: z.string(),
  title: z.string(),
  status: z.number().int(),
  detail: z.string(),
  says: messageSchema,
  errors: z.array(
    z.object({
      /** Dotted path of the field in the request body, such as `trials.0.goneMmHg`; empty for the whole. */
      path: z.string(),
      message: messageSchema,
      remedy: messageSchema.optional(),
      rule: z.string().optional(),
      level: z.enum(['hard', 'guard']).optional(),
    }),
  ),
});
export type ProblemBody = z.infer<typeof problemSchema>;
