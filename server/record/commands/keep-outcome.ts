import type { Reached } from '#core/aerobic';
import { type Measure, type MeasureId, valueTaken } from '#core/outcomes';
import type { Limb } from '#core/quantity';
import type { Prepare } from '../../db/dialect/connection';
import { outcomeRecord } from '../outcome';
import { keepRow } from '../write';

/** A measure as it was taken: repeats in its unit, before one value is made of them. */
type Taken = {
  id: string;
  clientId: string;
  atMs: number;
  measureId: MeasureId;
  limb: Limb | null;
  repeats: readonly number[];
  setting: string;
  note: string;
  reached?: Reached | undefined;
  practitionerId: string;
};

/** Keeps an outcome, with the value that its measure makes of the repeats (rule OUT-1). */
export function keepOutcome(prepare: Prepare, { repeats, ...taken }: Taken, measure: Measure): void {
  keepRow(prepare, outcomeRecord, {
    ...taken,
    repeats: [...repeats],
    reached: taken.reached ?? null,
    value: valueTaken(repeats, measure),
    withdrawn: null,
  });
}
