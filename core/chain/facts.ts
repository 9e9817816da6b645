import type { Derived } from '../derivation/derived';
import type { PulseMethod, PulseSite } from '../occlusion-pressure/methods';
import type { QuickCheck } from '../occlusion-pressure/quick-check';
import type { ShelfLife } from '../occlusion-pressure/shelf-life';
import type { Plan } from '../plan/plan';
import type { ExerciseId } from '../protocol/exercises';
import type { Limb, Position } from '../quantity/limb';
import type { DisplayUnits } from '../quantity/units';
import type { Clearance } from '../screening/clearance';
import type { DayCheck } from '../screening/day-check';
import type { Stricter } from '../screening/items';
import type { Screening } from '../screening/screening';
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

/** A signed prescription and what it was signed from. */
export type PrescriptionFact = {
  id: string;
  atMs: number;
  occlusionId: string;
  strengthTestId: string;
  side: Side;
  plan: Plan;
};

export type SessionFact = {
  id: string;
  prescriptionId: string;
  startedAtMs: number;
  finishedAtMs: number | null;
  /** Signs noted in it after which nobody restarts that day (rule RUN-3). */
  redSigns: { atMs: number; sign: SignId }[];
};

/** All that is on record for one person and that the chain is judged from. Lists are in any order. */
export type ClientFacts = {
  shelfLife: ShelfLife;
  units: DisplayUnits;
  /** What the practice asks more of than the questionnaire does. */
  stricter: Stricter;
  screenings: Screening[];
  clearances: Clearance[];
  dayChecks: DayCheck[];
  fits: FitFact[];
  tightness: TightnessFact[];
  occlusions: OcclusionFact[];
  strengthTests: StrengthFact[];
  prescriptions: PrescriptionFact[];
  sessions: SessionFact[];
};

/** How long a pressure of this person holds: every session after an operation, else as set for them (rule LOP-6). */
export function shelfLifeOf(facts: ClientFacts): ShelfLife {
  const operated = newest(facts.screenings)?.yes.includes('recent-surgery');
  return operated ? 'every-session' : facts.shelfLife;
}

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
