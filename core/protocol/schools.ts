import { z } from 'zod';
import type { Message } from '../message/message';
import type { LimbKind } from '../quantity/limb';
import type { ProtocolId } from './protocols';

export const schoolIdSchema = z.enum([
  'clinic',
  'research-consensus',
  'graded-start',
  'gym-accessory',
  'rest-release',
]);

export type SchoolId = z.infer<typeof schoolIdSchema>;

/** Percentages of LOP a school starts at, usually works at, and never goes past. */
export type PercentRange = { start: number; usual: number; top: number };

export type School = {
  label: Message;
  percentLop: Record<LimbKind, PercentRange>;
  usualProtocol: ProtocolId;
  /** How its last set ends. */
  lastSet: Message;
};
