import type { Derived } from '../derivation/derived';
import type { ExerciseId } from '../protocol/exercises';
import type { Protocol, ProtocolId, Tempo, TempoId } from '../protocol/protocols';
import type { Limb, Position } from '../quantity/limb';
import type { SchoolId } from '../rules/schools';

/** One limb under a cuff: what was measured, and the pressure asked of it. Pressures in mmHg. */
export type LimbTarget = {
  limb: Limb;
  cuffId: string;
  cuffLabel: string;
  occlusion: Derived;
  uncertaintyMmHg: number;
  measuredPosition: Position;
  percentLop: number;
  pressure: Derived;
  trueRange: Derived;
};

/** One exercise as it will be run. Everything needed to run it is copied in, so the plan never changes. */
export type PlannedExercise = {
  exerciseId: ExerciseId;
  label: string;
  cue: string;
  position: Position;
  limbs: LimbTarget[];
  oneRepMax: Derived;
  load: Derived;
  loadRecipe: string;
  trueLoadPercent: number;
  protocolId: ProtocolId;
  protocolLabel: string;
  reps: number[];
  restMs: number;
  inflation: Protocol['inflation'];
  reinflateLeadMs: number;
  tempoId: TempoId;
  tempo: Tempo;
};

/** A signed session, frozen: the figures with the derivations they were signed with. */
export type Plan = { schoolId: SchoolId; gaugeDivisionMmHg: number; exercises: PlannedExercise[] };
