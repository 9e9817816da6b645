import { z } from 'zod';
import { msg } from '../message/message';
import { sideSchema } from './side';

/** Heavy work in one line (rule PRO-4): what, how much of it, and how hard it was. */
export const heavyWorkChoiceSchema = z.object({
  exerciseId: z.string().min(1, msg('Choose an exercise.')),
  side: sideSchema,
  sets: z
    .number(msg('Enter the sets.'))
    .int()
    .min(1, msg('At least one set.'))
    .max(20, msg('At most 20 sets.')),
  reps: z
    .number(msg('Enter the repetitions.'))
    .int()
    .min(1, msg('At least one.'))
    .max(30, msg('At most 30: more is not heavy.')),
  loadKg: z
    .number(msg('Enter the load.'))
    .positive(msg('More than nothing.'))
    .max(1000, msg('At most 1,000 kg.')),
  /** Of the last set, 0–10; null where not said. */
  effort: z.number().int().min(0).max(10).nullable(),
  /** The most joint pain in it, 0–10; null where not said (rule REV-8). */
  pain: z.number().int().min(0).max(10).nullable().default(null),
});
export type HeavyWorkChoice = z.infer<typeof heavyWorkChoiceSchema>;

/** Heavy work as it is on record. */
export type HeavyWork = HeavyWorkChoice & { id: string; atMs: number };
