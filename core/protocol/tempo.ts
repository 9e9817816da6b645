import { z } from 'zod';

/** Seconds of one repetition, written up–hold–down. */
export type Tempo = { upMs: number; holdMs: number; downMs: number };

export const tempoIdSchema = z.enum(['1-0-1', '1.5-0-1.5', '2-0-1', '2-0-2', '3-0-3', '1-5-1']);
export type TempoId = z.infer<typeof tempoIdSchema>;

export const TEMPOS: Record<TempoId, Tempo> = {
  '1-0-1': { upMs: 1000, holdMs: 0, downMs: 1000 },
  '1.5-0-1.5': { upMs: 1500, holdMs: 0, downMs: 1500 },
  '2-0-1': { upMs: 2000, holdMs: 0, downMs: 1000 },
  '2-0-2': { upMs: 2000, holdMs: 0, downMs: 2000 },
  '3-0-3': { upMs: 3000, holdMs: 0, downMs: 3000 },
  '1-5-1': { upMs: 1000, holdMs: 5000, downMs: 1000 },
};

export const repMs = ({ upMs, holdMs, downMs }: Tempo): number => upMs + holdMs + downMs;
