import { z } from 'zod';
import { limbSchema, positionSchema } from '#core/quantity';
import { sideSchema } from '#core/strength';

/** A page of what came before a moment; the newest without one. */
export const beforeSchema = z.object({
  beforeMs: z.coerce.number().int().default(Number.MAX_SAFE_INTEGER),
});

export const pressuresOfSchema = z.object({
  limb: limbSchema,
  position: positionSchema,
  cuffId: z.string().min(1),
});

export const oneRepMaxesOfSchema = z.object({ exerciseId: z.string().min(1), side: sideSchema });

/** A figure as it was once: an LOP in mmHg, a 1RM in kg. */
export type HistoryPoint = { atMs: number; value: number };

/** A session that is over, as the list of them names it. */
export type PastSession = { id: string; startedAtMs: number };
