import { randomUUID } from 'node:crypto';
import type { Derived } from '#core/derivation';
import type { Pump } from '#core/kit';
import type {
  estimateOcclusionPressure,
  PulseMethod,
  PulseSite,
  ReadingSchool,
  Trial,
} from '#core/occlusion-pressure';
import type { Limb, Position } from '#core/quantity';
import type { Prepare } from '../../db/dialect/connection';
import { occlusionPressureRecord } from '../occlusion-pressure';
import { trialRecord } from '../trial';
import { keepRow } from '../write';

/** How a limb was measured, under which cuff, with which gauge, and what its trials come to. Pressures in mmHg, lengths in cm. */
type Measured = {
  id: string;
  clientId: string;
  atMs: number;
  how: { limb: Limb; position: Position; method: PulseMethod; site: PulseSite; readingSchool: ReadingSchool };
  worn: { cuffId: string; label: string; widthCm: number; girthCm: number };
  gauge: Pump;
  estimate: NonNullable<ReturnType<typeof estimateOcclusionPressure>>;
  /** The pressure as its working says it, where that is not as it was estimated. */
  pressure?: Derived;
  /** None where only the pressure is on record, as in a table. */
  trials: readonly Trial[];
};

/** Keeps an occlusion pressure with its trials. */
export function keepOcclusionPressure(
  prepare: Prepare,
  { id, clientId, atMs, how, worn, gauge, estimate, pressure = estimate.pressure, trials }: Measured,
): void {
  keepRow(prepare, occlusionPressureRecord, {
    id,
    clientId,
    atMs,
    ...how,
    pumpId: gauge.id,
    divisionMmHg: gauge.divisionMmHg,
    gaugeErrorMmHg: gauge.errorMmHg ?? null,
    cuffId: worn.cuffId,
    cuffLabel: worn.label,
    widthCm: worn.widthCm,
    girthCm: worn.girthCm,
    pressureMmHg: pressure.value,
    pressure,
    uncertaintyMmHg: estimate.uncertaintyMmHg,
    steady: estimate.steady,
    trialsUsed: estimate.trialsUsed,
  });
  for (const [place, readings] of trials.entries())
    keepRow(prepare, trialRecord, { id: randomUUID(), lopId: id, place, readings });
}
