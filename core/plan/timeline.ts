import type { Tempo } from '../protocol/protocols';
import type { Limb } from '../quantity/limb';

/** A pressure in mmHg and when it came to hold, in ms on the timeline's clock. */
export type PressureStep = { atMs: number; pressureMmHg: number };

/** One uninterrupted inflation of one cuff. `steps` starts at `fromMs` and is in time order. */
export type Inflation = { fromMs: number; toMs: number; steps: PressureStep[] };

/** What one limb's cuff does over time. `occlusionMmHg` is the limb's LOP, the top edge of its lane. */
export type Lane = { limb: Limb; occlusionMmHg: number; inflations: Inflation[] };

/** One set on the timeline. `reps` are those done (or planned, in a plan). */
export type TimelineSet = {
  exerciseIndex: number;
  setIndex: number;
  /** Limbs that work in it. */
  limbs: Limb[];
  fromMs: number;
  toMs: number;
  reps: number;
  plannedReps: number;
  loadKg: number;
  tempo: Tempo;
};

/** The one picture in three tenses: planned, running and done. Times in ms from the session's start. */
export type Timeline = { lanes: Lane[]; sets: TimelineSet[]; endMs: number };
