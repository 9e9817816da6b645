import type { Tempo } from '../protocol/tempo';
import type { Limb } from '../quantity/limb';

/** A pressure in mmHg, null under a strap, and when it came to hold, in ms on the timeline's clock. */
export type PressureStep = { atMs: number; pressureMmHg: number | null };

/** From when to when, in ms on one clock. */
export type Span = { fromMs: number; toMs: number };

/**
 * One uninterrupted inflation of one cuff. `steps` starts at `fromMs` and is in time order. `occlusionMmHg` is the LOP
 * its exercise goes by, so that each is shown and added up as a share of its own; null under a strap.
 */
export type Inflation = Span & {
  occlusionMmHg: number | null;
  steps: PressureStep[];
};

/** The pressures of an inflation and how long each held: until the next one, or until the cuff came down. */
export const pressuresHeld = ({
  steps,
  toMs,
}: Pick<Inflation, 'steps' | 'toMs'>): { fromMs: number; toMs: number; pressureMmHg: number | null }[] =>
  steps.map(({ atMs, pressureMmHg }, index) => ({
    fromMs: atMs,
    toMs: steps[index + 1]?.atMs ?? toMs,
    pressureMmHg,
  }));

/** What one limb's cuff does over time. */
export type Lane = { limb: Limb; inflations: Inflation[] };

/** One set on the timeline. `reps` are those done (or planned, in a plan). */
export type TimelineSet = {
  exerciseIndex: number;
  setIndex: number;
  /** Limbs that work in it. */
  limbs: Limb[];
  fromMs: number;
  toMs: number;
  reps: number;
  /** Null for work by the clock. */
  plannedReps: number | null;
  /** Null without kilograms. */
  loadKg: number | null;
  tempo: Tempo;
};

/** The one picture in three tenses: planned, running and done. Times in ms from the session's start. */
export type Timeline = { lanes: Lane[]; sets: TimelineSet[]; endMs: number };
