import type { Derived } from '../derivation/derived';
import type { Limb, Position } from '../quantity/limb';
import type { PulseMethod, PulseSite } from './methods';
import type { QuickCheck } from './quick-check';
import type { ReadingSchool, Trial } from './trial';

/** A limb occlusion pressure on record, with all it was measured by. */
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
  /** What that gauge was wrong by, in mmHg; null where no check of it was on record. */
  gaugeErrorMmHg: number | null;
  /** Quick checks made since, in any order (rule LOP-7). */
  quickChecks: QuickCheck[];
};
