import { z } from 'zod';

/** Kinds of work a clearance may allow; an empty list allows all. */
export const workModeSchema = z.enum([
  'resistance',
  'aerobic',
  'activation',
  'recovery',
  'passive',
  'preparation',
]);
export type WorkMode = z.infer<typeof workModeSchema>;

/** Whether it trains: passive work and cycles of the cuff do not, and may be done daily or more (rules PRO-3, PRS-9). */
export const trains = ({ mode }: { mode: WorkMode }): boolean => mode !== 'passive' && mode !== 'preparation';
