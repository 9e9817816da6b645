import { makeableKg, type WeightKit } from '../load/weight-kit';
import { exerciseChoiceOf } from '../plan/choices-of';
import type { Carried } from '../plan/draft/wish';
import type { Plan, PlannedExercise } from '../plan/plan';
import { measuredLimbs } from '../plan/target';
import type { Limb } from '../quantity/limb';
import { RULES } from '../rules/catalogue';
import type { Change } from './change';

/**
 * What the next draft takes over from the last plan, with a change for each exercise (rules REV-1 to REV-8).
 * @param changes by the place of the exercise in the plan; missing ones hold
 */
export function carryOver(
  plan: Plan,
  changes: readonly (Change | undefined)[],
  kits: readonly WeightKit[],
): Carried[] {
  return plan.exercises.map((exercise, place) => carried(exercise, changes[place] ?? {}, kits));
}

/** What negative changes have lowered each limb to, in %LOP (rules REV-1, REV-3). */
export function loweredTo(plan: Plan, changes: readonly (Change | undefined)[]): Map<Limb, number> {
  const lowered = new Map<Limb, number>();
  plan.exercises.forEach((exercise, place) => {
    const points = changes[place]?.pressurePoints ?? 0;
    if (points >= 0) return;
    for (const { limb, percentLop } of measuredLimbs(exercise))
      lowered.set(limb, Math.min(lowered.get(limb) ?? 100, percentLop + points));
  });
  return lowered;
}

export function carried(exercise: PlannedExercise, change: Change, kits: readonly WeightKit[]): Carried {
  const { most } = RULES['PRS-3'].figures.exercisePercentLop;
  const rests = exercise.sets.slice(0, -1).map(({ restMs }) => restMs);
  return {
    exerciseId: exercise.exerciseId,
    limbs: exercise.limbs.map(({ limb }) => limb),
    percentLop: Object.fromEntries(
      measuredLimbs(exercise).map(({ limb, percentLop }) => [
        limb,
        Math.min(Math.max(most, percentLop), percentLop + (change.pressurePoints ?? 0)),
      ]),
    ),
    percentOneRepMax: steppedPercent(exercise, change.loadSteps ?? 0, kits),
    restMs: change.restMs ?? rests[0] ?? null,
    protocolId: exercise.protocolId,
    sets: exerciseChoiceOf(exercise).sets.map((set, place, sets) =>
      place < sets.length - 1 && change.restMs !== undefined ? { ...set, restMs: change.restMs } : set,
    ),
    intensity: exercise.intensity ?? null,
  };
}

/** The share of 1RM as it was asked for, or the one that makes the load so many kit steps away; up never above the usual 40 %. */
function steppedPercent({ load }: PlannedExercise, steps: number, kits: readonly WeightKit[]): number | null {
  if (load.kind !== 'weighed') return null;
  const kit = kits.find(({ id }) => id === load.weightKitId);
  return kit && steps !== 0
    ? percentSteps(
        load.percentOneRepMax,
        { oneRepMaxKg: load.oneRepMax.value, madeKg: load.load.value, kit },
        steps,
      )
    : load.percentOneRepMax;
}

/**
 * The share of 1RM that makes a load so many steps of the kit away; up never above the usual 40 %.
 * @param madeKg what the kit makes of the share that is asked
 * @example percentSteps(25, { oneRepMaxKg: 40, madeKg: 10, kit }, 1) //=> 31.4, which makes 12.5 kg in steps of 2.5
 */
export function percentSteps(
  asked: number,
  { oneRepMaxKg, madeKg, kit }: { oneRepMaxKg: number; madeKg: number; kit: WeightKit },
  steps: number,
): number {
  const loads = makeableKg(kit);
  const chosen = loads.findLastIndex((kg) => kg <= madeKg);
  const kg = loads[Math.max(0, chosen + steps)];
  if (kg === undefined) return asked;
  const made = (100 * kg) / oneRepMaxKg;
  const { usualHigh } = RULES['LOAD-3'].figures.percentOneRepMax;
  if (steps > 0 && made > usualHigh) return asked;
  // A tenth more, so that rounding down to the kit lands on the step and not under it.
  const percent = Math.round((made + 0.1) * 10) / 10;
  return Math.min(Math.max(usualHigh, (100 * madeKg) / oneRepMaxKg), percent);
}
