import { z } from 'zod';

/** What the server says when it refuses: RFC 9457 problem details with the fields to mend. */
export const problemSchema = z.object({
  type: z.string(),
  title: z.string(),
  status: z.number().int(),
  detail: z.string(),
  errors: z.array(
    z.object({
      /** Dotted path of the field in the request body, such as `trials.0.goneMmHg`; empty for the whole. */
      path: z.string(),
      message: z.string(),
      remedy: z.string().optional(),
      rule: z.string().optional(),
      level: z.enum(['hard', 'guard']).optional(),
    }),
  ),
});
export type ProblemBody = z.infer<typeof problemSchema>;
