import { targetLoad } from '../load/target-load';
import type { WeightKit } from '../load/weight-kit';
import type { PlannedExercise } from '../plan/plan';
import { percentSteps } from '../review/carry-over';

/** The 1RM and the kit an exercise is lifted with. */
export type Lifted = { oneRepMaxKg: number; kit: WeightKit };

/** Null where it has no kilograms, or its kit is gone. */
export function liftedWith(
  load: PlannedExercise['load'] | undefined,
  kits: readonly WeightKit[],
): Lifted | null {
  if (load?.kind !== 'weighed') return null;
  const kit = kits.find(({ id }) => id === load.weightKitId);
  return kit ? { oneRepMaxKg: load.oneRepMax.value, kit } : null;
}

/** What the kit makes of a share of 1RM, in kg. */
export const madeKg = (percent: number, { oneRepMaxKg, kit }: Lifted): number =>
  targetLoad(oneRepMaxKg, percent, kit).load.value;

/** A share of 1RM so many steps of the kit away, in % (rule LOAD-3). */
export const stepped = (percent: number, steps: number, lifted: Lifted): number =>
  percentSteps(percent, { ...lifted, madeKg: madeKg(percent, lifted) }, steps);
