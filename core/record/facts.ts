import type { Programme } from '../course/programme';
import type { Derived } from '../derivation/derived';
import type { PulseMethod, PulseSite } from '../occlusion-pressure/methods';
import type { QuickCheck } from '../occlusion-pressure/quick-check';
import type { ShelfLife } from '../occlusion-pressure/shelf-life';
import type { ReadingSchool, Trial } from '../occlusion-pressure/trial';
import type { Plan } from '../plan/plan';
import { EXERCISES, type ExerciseId, type Library } from '../protocol/exercises';
import type { Limb, Position } from '../quantity/limb';
import type { DisplayUnits } from '../quantity/units';
import type { Clearance } from '../screening/clearance';
import type { DayCheck } from '../screening/day-check';
import type { Stricter } from '../screening/items';
import type { Screening } from '../screening/screening';
import type { FollowUp } from '../session/events';
import type { SignId } from '../session/signs';
import type { Side } from '../strength/side';

/** A girth, and what goes on there: a cuff that can be measured, or a strap that cannot (rule FIT-5). */
export type FitFact = {
  limb: Limb;
  atMs: number;
  girthCm: number;
  widthCm: number;
  label: string;
} & ({ kind: 'cuff'; cuffId: string } | { kind: 'strap'; strapId: string });

/** A strap as it was last tightened by feel (rule TIGHT). */
export type TightnessFact = {
  limb: Limb;
  atMs: number;
  strapId: string;
  strapLabel: string;
  mark: number;
  felt: number;
};

export type OcclusionFact = {
  id: string;
  limb: Limb;
  position: Position;
  cuffId: string;
  cuffLabel: string;
  widthCm: number;
  girthCm: number;
  atMs: number;
  method: PulseMethod;
  site: PulseSite;
  pressure: Derived;
  uncertaintyMmHg: number;
  steady: boolean;
  trialsUsed: number;
  /** The trials in the order taken and how they were read. */
  trials: Trial[];
  readingSchool: ReadingSchool;
  /** Division of the gauge it was read from, in mmHg. */
  divisionMmHg: number;
  /** Quick checks made since, in any order (rule LOP-7). */
  quickChecks: QuickCheck[];
};

export type StrengthFact = {
  id: string;
  exerciseId: ExerciseId;
  side: Side;
  atMs: number;
  oneRepMax: Derived;
};

/** A signed prescription; its plan names the measurements it was signed from. */
export type PrescriptionFact = {
  id: string;
  atMs: number;
  /** Id of the practitioner who signed it. */
  signedBy: string;
  /** Why guards were passed, where some were. */
  overrideReason: string | null;
  plan: Plan;
};

export type SessionFact = {
  id: string;
  prescriptionId: string;
  startedAtMs: number;
  finishedAtMs: number | null;
  /** Signs noted in it after which nobody restarts that day (rule RUN-3). */
  redSigns: { atMs: number; sign: SignId }[];
  /** How the person was the day after; null while nobody asked (rule RUN-6). */
  followUp: (FollowUp & { atMs: number }) | null;
};

/** A block of training as it was kept; the newest counts. */
export type ProgrammeFact = Programme & { id: string; atMs: number };

/** All that is on record for one person and that the chain is judged from. Lists are in any order. */
export type ClientFacts = {
  shelfLife: ShelfLife;
  units: DisplayUnits;
  /** What the practice asks more of than the questionnaire does. */
  stricter: Stricter;
  /** Exercises the practice has added or changed. */
  ownExercises: Library;
  screenings: Screening[];
  clearances: Clearance[];
  dayChecks: DayCheck[];
  fits: FitFact[];
  tightness: TightnessFact[];
  occlusions: OcclusionFact[];
  strengthTests: StrengthFact[];
  prescriptions: PrescriptionFact[];
  programmes: ProgrammeFact[];
  sessions: SessionFact[];
};

/** How long a pressure of this person holds: every session after an operation, else as set for them (rule LOP-6). */
export function shelfLifeOf(facts: ClientFacts): ShelfLife {
  return isPostOperative(facts) ? 'every-session' : facts.shelfLife;
}

/** Whether an operation of the last 12 weeks is on record (rules SCR-4, LOP-6). */
export const isPostOperative = (facts: ClientFacts): boolean =>
  newest(facts.screenings)?.yes.includes('recent-surgery') ?? false;

/** Name of an exercise; the id itself for one that is in no library any more. */
export const exerciseLabel = ({ ownExercises }: Pick<ClientFacts, 'ownExercises'>, id: ExerciseId): string =>
  ownExercises[id]?.label ?? (EXERCISES as Library)[id]?.label ?? id;

/** The cuff fitted to a limb now: of the newest girth, unless a strap was put there instead. */
export function fittedCuff(facts: ClientFacts, limb: Limb): Extract<FitFact, { kind: 'cuff' }> | undefined {
  const fit = newest(facts.fits.filter((fact) => fact.limb === limb));
  return fit?.kind === 'cuff' ? fit : undefined;
}

/** The newest of some facts, or `undefined` when there are none. */
export function newest<T extends { atMs: number }>(facts: readonly T[]): T | undefined {
  return facts.reduce<T | undefined>(
    (best, fact) => (!best || fact.atMs > best.atMs ? fact : best),
    undefined,
  );
}
