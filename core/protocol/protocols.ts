import { z } from 'zod';
import type { Message } from '../message/message';
import type { SetWork } from './set-work';
import type { TempoId } from './tempo';
import type { WorkMode } from './work-mode';

export const protocolIdSchema = z.enum([
  'standard-75',
  'release-75',
  'near-failure',
  'fail-book-ends',
  'falling-reps',
  'quick-pair',
  'warm-up',
  'recovery-light',
  'aerobic',
  'passive-recovery',
  'passive-rehab',
  'cycles',
]);

export type ProtocolId = z.infer<typeof protocolIdSchema>;

/** A scheme of sets: what is done in each, rest, inflation and the tempos it may be done at (chapter 6). */
export type Protocol = {
  label: Message;
  mode: WorkMode;
  sets: readonly SetWork[];
  restMs: number;
  /** Rests it is usually done with, shortest and longest. */
  restRangeMs: readonly [number, number];
  inflation: 'continuous' | 'release-each-rest';
  /** How long before the next set the cuff is inflated again, where it is released in the rest. */
  reinflateLeadMs: number;
  tempos: readonly TempoId[];
  /** Share of LOP it brings with it; null leaves that to the school. */
  percentLop: { usual: number; low: number; high: number } | null;
  /** Each set at its share of the target, in %; not there where all are at it (rule PRS-9). */
  ofTarget?: readonly number[];
};
