import { z } from 'zod';

/** Kinds of work a clearance may allow; an empty list allows all. */
export const workModeSchema = z.enum(['resistance', 'aerobic', 'activation', 'recovery', 'passive']);
export type WorkMode = z.infer<typeof workModeSchema>;
