import type { Derived } from '../derivation/derived';
import type { ShelfLife } from '../occlusion-pressure/shelf-life';
import type { Plan } from '../plan/plan';
import type { ExerciseId } from '../protocol/exercises';
import type { Limb, Position } from '../quantity/limb';
import type { Screening } from '../screening/screening';

export type Side = 'left' | 'right' | 'both';

export type FitFact = {
  limb: Limb;
  atMs: number;
  girthCm: number;
  cuffId: string;
  cuffLabel: string;
  widthCm: number;
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
  pressure: Derived;
  uncertaintyMmHg: number;
  steady: boolean;
  trialsUsed: number;
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
};

/** All that is on record for one person and that the chain is judged from. Lists are in any order. */
export type ClientFacts = {
  shelfLife: ShelfLife;
  screenings: Screening[];
  fits: FitFact[];
  occlusions: OcclusionFact[];
  strengthTests: StrengthFact[];
  prescriptions: PrescriptionFact[];
  sessions: SessionFact[];
};

/** The newest of some facts, or `undefined` when there are none. */
export function newest<T extends { atMs: number }>(facts: readonly T[]): T | undefined {
  return facts.reduce<T | undefined>(
    (best, fact) => (!best || fact.atMs > best.atMs ? fact : best),
    undefined,
  );
}
