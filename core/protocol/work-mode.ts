import { z } from 'zod';
import { type Message, msg } from '../message/message';

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

export const WORK_MODE_NAMES: Record<WorkMode, Message> = {
  resistance: msg('resistance'),
  aerobic: msg('aerobic'),
  activation: msg('activation'),
  recovery: msg('recovery'),
  passive: msg('passive'),
  preparation: msg('preparation'),
};

/** Whether it trains: passive work and cycles of the cuff do not, and may be done daily or more (rules PRO-3, PRS-9). */
export const trains = ({ mode }: { mode: WorkMode }): boolean => mode !== 'passive' && mode !== 'preparation';
