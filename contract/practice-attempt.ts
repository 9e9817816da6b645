import { z } from 'zod';
import { TRAPS } from '#core/simulation/practice-case';

/** An attempt at the practice bench as the learner ended it; the server scores it against the case of its seed. */
export const newPracticeAttemptSchema = z.object({
  seed: z.number().int().min(0).max(4_294_967_295),
  statedMmHg: z
    .number('State the pressure in mmHg.')
    .min(20, 'Below 20 mmHg is not an occlusion pressure.')
    .max(300, 'Above 300 mmHg is refused.'),
  highestMmHg: z.number().min(0).max(400),
  elapsedMs: z.number().int().min(0).max(3_600_000),
  noticed: z.array(z.enum(TRAPS)),
});
export type NewPracticeAttempt = z.infer<typeof newPracticeAttemptSchema>;

export type PracticeAttempt = { id: string; atMs: number; errorMmHg: number; points: number };
