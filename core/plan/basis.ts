import type { Role } from '../access/permissions';
import type { AerobicEstimate } from '../aerobic/estimate';
import type { Fitness } from '../aerobic/fitness';
import type { Cuff } from '../cuff/cuff';
import type { FitFact, TightnessFact } from '../cuff/fact';
import type { TargetLoad } from '../load/target-load';
import type { WeightKit } from '../load/weight-kit';
import type { Message } from '../message/message';
import type { OcclusionFact } from '../occlusion-pressure/fact';
import type { RampSession } from '../pressure/ramp';
import type { Exercise, LadderRung } from '../protocol/exercise';
import type { Library } from '../protocol/exercises';
import type { WorkMode } from '../protocol/work-mode';
import type { Day } from '../quantity/days';
import type { Limb, LimbKind } from '../quantity/limb';
import type { Place } from '../quantity/place';
import type { BloodPressure } from '../screening/blood-pressure';
import type { Limits } from '../screening/clearance';
import type { StrengthFact } from '../strength/fact';
import type { ServingTest } from '../strength/in-force';
import type { ArbitraryChoice, ExerciseChoice, FeltChoice, MeasuredChoice } from './choices';

/** A session that was really done, as later ones are checked against it. */
export type SessionDone = RampSession & {
  worked: readonly {
    exerciseId: string;
    limbs: readonly Limb[];
    mode: WorkMode;
    arbitrary?: true | undefined;
    arbitraryMmHg?: number | undefined;
  }[];
};

/** What is on record for a person and what the practice owns: all that choices are applied to. */
export type Basis = {
  nowMs: number;
  /** The day it is on the practice's calendar, by which ramps are counted. */
  today: Day;
  occlusions: readonly OcclusionFact[];
  /** Girths and what is worn there; the newest of a limb counts. */
  fits: readonly FitFact[];
  strengthTests: readonly StrengthFact[];
  /** Straps as they were last tightened by feel. */
  tightness: readonly TightnessFact[];
  cuffs: readonly Cuff[];
  weightKits: readonly WeightKit[];
  /** Where one can train. */
  places: readonly Place[];
  library: Library;
  /** What the clearances in force limit (rule SCR-2). */
  limits: Limits;
  /** Why a measured pressure or a strength test no longer holds, by its id (rules LOP-6, LOAD-2). */
  due: ReadonlyMap<string, Message>;
  /** Operations of the last 12 weeks, by limb (rules SCR-1, SCR-4). */
  procedures: readonly { limb: Limb; atMs: number }[];
  /** Rungs of the ladder that limbs are on; none where it was never checked (rule PRO-5). */
  rungs: ReadonlyMap<Limb, LadderRung>;
  prescriber: Role;
  /** The most the practice puts on a limb without a LOP, in mmHg; null where it does not work so (rule PRS-7). */
  arbitraryUpToMmHg: number | null;
  /** The newest resting blood pressure that still counts (rule LOP-7); none where there is no other. */
  resting: BloodPressure | null;
  /** Kinds of limb that begin with one alone, as the blood pressure is watched (rule RUN-8). */
  oneLimbFirst: readonly LimbKind[];
  /** 65 years or older, as far as is known (rule PRO-6). */
  from65: boolean;
  /** What a share of VO2max is worked out by (chapter 6). */
  fitness: Fitness;
  /** Sessions really done before. */
  done: readonly SessionDone[];
};

/** Whether work on these limbs is after an operation (rules SCR-1, SCR-4). */
export const isPostOperativeWork = (
  limbs: readonly Limb[],
  { procedures }: Pick<Basis, 'procedures'>,
): boolean => procedures.some(({ limb }) => limbs.includes(limb));

/** One exercise with everything its choices point to. `test` and `kit` are null for work without kilograms. */
export type Resolved = {
  choice: ExerciseChoice;
  exercise: Exercise;
  limbs: { choice: MeasuredChoice; occlusion: OcclusionFact; cuff: Cuff }[];
  /** Limbs under a cuff without a measured LOP. */
  unmeasured: { choice: ArbitraryChoice; cuff: Cuff }[];
  /** Limbs under a strap instead. */
  straps: { choice: FeltChoice; felt: TightnessFact }[];
  test: ServingTest | null;
  kit: WeightKit | null;
  load: TargetLoad;
  /** What its intensity is on the machine and the heart; empty where it has none, or nothing is known. */
  estimate: AerobicEstimate;
};
