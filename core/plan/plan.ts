import type { Derived } from '../derivation/derived';
import type { ExerciseId } from '../protocol/exercises';
import type { ProtocolId, Tempo, TempoId } from '../protocol/protocols';
import type { Limb, Position } from '../quantity/limb';
import type { SchoolId } from '../rules/schools';
import type { WorkMode } from '../screening/clearance';
import type { Side } from '../strength/side';
import type { GoalId } from './goals';

/** One limb under a cuff: what was measured, and the pressure asked of it. Pressures in mmHg. */
export type LimbTarget = {
  limb: Limb;
  occlusionId: string;
  cuffId: string;
  cuffLabel: string;
  occlusion: Derived;
  uncertaintyMmHg: number;
  measuredPosition: Position;
  percentLop: number;
  pressure: Derived;
  trueRange: Derived;
  /** A strap by its mark and how it felt, 0–10; its pressures are then 0 and mean nothing (rule TIGHT). */
  byFeel: { strapId: string; mark: number; felt: number } | null;
  /** Pressures of the priming cycles before the first set, lowest first; none when not primed (rule PRS-6). */
  primingMmHg: number[];
};

/** One set: `workMs` is its length at the pace; `reps` is 0 for timed work; the cuff goes down in a rest with `release`. */
export type PlannedSet = {
  reps: number;
  workMs: number;
  restMs: number;
  release: boolean;
  untilFailure: boolean;
};

/** The test a load is a share of and the kit it is made from; `side` may be the other one, standing in (rule LOAD-2). */
export type TestedStrength = {
  testId: string;
  side: Side;
  oneRepMax: Derived;
  /** The share of 1RM that was asked for, in %. */
  percentOneRepMax: number;
  weightKitId: string;
};

/** One exercise as it will be run. Everything needed to run it is copied in, so the plan never changes. */
export type PlannedExercise = {
  exerciseId: ExerciseId;
  label: string;
  cue: string;
  position: Position;
  mode: WorkMode;
  limbs: LimbTarget[];
  /** Null for body weight, bands, passive and aerobic work; the load is then 0 kg and the recipe says what resists. */
  strength: TestedStrength | null;
  load: Derived;
  loadRecipe: string;
  trueLoadPercent: number | null;
  protocolId: ProtocolId;
  protocolLabel: string;
  sets: PlannedSet[];
  reinflateLeadMs: number;
  tempoId: TempoId;
  tempo: Tempo;
};

/** A signed session, frozen: the figures with the derivations they were signed with. */
export type Plan = {
  goal: GoalId;
  schoolId: SchoolId;
  gaugeDivisionMmHg: number;
  exercises: PlannedExercise[];
};

/** Whether the cuffs of an exercise stay up in all its rests. */
export const staysInflated = ({ sets }: { sets: readonly Pick<PlannedSet, 'release'>[] }): boolean =>
  sets.slice(0, -1).every(({ release }) => !release);
