import type { Derived } from '../derivation/derived';
import type { Side } from './side';

/** A one-repetition maximum on record. */
export type StrengthFact = {
  id: string;
  exerciseId: string;
  side: Side;
  atMs: number;
  oneRepMax: Derived;
};
