import { z } from 'zod';

export const protocolIdSchema = z.enum(['standard-75', 'release-75']);
export type ProtocolId = z.infer<typeof protocolIdSchema>;

/** Seconds of one repetition, written up–hold–down. */
export type Tempo = { upMs: number; holdMs: number; downMs: number };

export const tempoIdSchema = z.enum(['1-0-1', '1.5-0-1.5', '2-0-2']);
export type TempoId = z.infer<typeof tempoIdSchema>;

export const TEMPOS: Record<TempoId, Tempo> = {
  '1-0-1': { upMs: 1000, holdMs: 0, downMs: 1000 },
  '1.5-0-1.5': { upMs: 1500, holdMs: 0, downMs: 1500 },
  '2-0-2': { upMs: 2000, holdMs: 0, downMs: 2000 },
};

export const repMs = ({ upMs, holdMs, downMs }: Tempo): number => upMs + holdMs + downMs;

/** A scheme of sets: repetitions, rest, inflation and the tempos it may be done at. */
export type Protocol = {
  label: string;
  reps: readonly number[];
  restMs: number;
  restChoicesMs: readonly number[];
  inflation: 'continuous' | 'release-each-rest';
  /** How long before the next set the cuff is inflated again, where it is released in the rest. */
  reinflateLeadMs: number;
  tempos: readonly TempoId[];
};

export const PROTOCOLS: Record<ProtocolId, Protocol> = {
  'standard-75': {
    label: 'Standard 75',
    reps: [30, 15, 15, 15],
    restMs: 30_000,
    restChoicesMs: [30_000, 45_000, 60_000],
    inflation: 'continuous',
    reinflateLeadMs: 0,
    tempos: ['1-0-1', '1.5-0-1.5', '2-0-2'],
  },
  'release-75': {
    label: 'Release 75',
    reps: [30, 15, 15, 15],
    restMs: 60_000,
    restChoicesMs: [60_000],
    inflation: 'release-each-rest',
    reinflateLeadMs: 5_000,
    tempos: ['2-0-2'],
  },
};
