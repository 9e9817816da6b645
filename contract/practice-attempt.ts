import { z } from 'zod';
import { type Agreement, type PracticeWish, SESSION_ACTIONS, TRAPS } from '#core/learning';
import { msg } from '#core/message';
import { pulseMethodSchema } from '#core/occlusion-pressure';
import { limbKindSchema } from '#core/quantity';

const seed = z.number().int().min(0).max(4_294_967_295);
const elapsedMs = z.number().int().min(0).max(3_600_000);

/** An attempt at the practice bench as the learner ended it; the server scores it against the case of its seed. */
export const newPracticeAttemptSchema = z.object({
  seed,
  /** Earlier releases had the probe alone, on any limb. */
  method: pulseMethodSchema.default('doppler'),
  limbs: z.union([limbKindSchema, z.literal('any')]).default('any'),
  statedMmHg: z
    .number(msg('State the pressure in mmHg.'))
    .min(20, msg('Below 20 mmHg is not an occlusion pressure.'))
    .max(300, msg('Above 300 mmHg is refused.')),
  highestMmHg: z.number().min(0).max(400),
  elapsedMs,
  noticed: z.array(z.enum(TRAPS)),
});
export type NewPracticeAttempt = z.infer<typeof newPracticeAttemptSchema>;

export type PracticeAttempt = {
  id: string;
  atMs: number;
  method: PracticeWish['method'];
  errorMmHg: number;
  points: number;
};

/** A simulated limb that a colleague has measured and this practitioner has not. */
export type SharedCase = PracticeWish & { seed: number };

/** What the bench knows of one practitioner: their own attempts, and how far they are from colleagues on the same limbs. */
export type PracticeBench = {
  attempts: PracticeAttempt[];
  toShare: SharedCase[];
  agreement: Agreement | null;
};

/** A simulated session: what was done and when, on the session's own clock. The server plays it again and scores it. */
export const newSessionAttemptSchema = z.object({
  seed,
  endMs: z.number().int().min(0).max(1_200_000, msg('An attempt ends after 20 minutes.')),
  /** In their order. */
  actions: z
    .array(z.object({ atMs: z.number().int().min(0).max(1_200_000), do: z.enum(SESSION_ACTIONS) }))
    .max(2_000)
    .refine((actions) => actions.every(({ atMs }, place) => atMs >= (actions[place - 1]?.atMs ?? 0)), {
      error: msg('What was done must be in the order it was done.').message,
    }),
});
export type NewSessionAttempt = z.infer<typeof newSessionAttemptSchema>;

export type SessionAttempt = { id: string; atMs: number; points: number };
