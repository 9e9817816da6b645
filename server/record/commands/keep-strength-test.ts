import { oneRepMax, type Side } from '#core/strength';
import type { Prepare } from '../../db/dialect/connection';
import { strengthTestRecord } from '../strength-test';
import { keepRow } from '../write';

/** A test as it was done: what follows from it is worked out here (rule START-3). */
type Tested = {
  id: string;
  clientId: string;
  atMs: number;
  exerciseId: string;
  side: Side;
  loadKg: number;
  reps: number;
};

/** Keeps a strength test, with the 1RM that it gives (rule LOAD-1). */
export function keepStrengthTest(prepare: Prepare, test: Tested): void {
  const result = oneRepMax(test);
  keepRow(prepare, strengthTestRecord, { ...test, oneRepMaxKg: result.value, oneRepMax: result });
}
