import { makeableKg, type WeightKit } from '../load/weight-kit';
import { RULES } from '../rules/catalogue';
import type { HeavyWork } from '../strength/heavy-work';
import { sideOf } from '../strength/in-force';
import type { Reading } from './reading';

/** What bounds the next session, and what it could be made of. */
export type Bounds = {
  /** The lowest cap of a clearance on any of its limbs, in %LOP; null without one (rule SCR-2). */
  capPercentLop: number | null;
  /** Where the newcomer's ramp is while it runs, in %LOP; null once it is over (rule PRS-4). */
  rampPercentLop: number | null;
  kits: readonly WeightKit[];
  /** Heavy work of the last days, the newest first (rule PRO-4). */
  heavyWork: readonly HeavyWork[];
};

/** What was really done of one exercise, and what room is left (rules REV-1 to REV-8). */
export type Done = Omit<Reading, 'load'> & {
  /** The newest heavy work of this exercise and side whose joint pain, 0–10, is known, in % of the same 1RM. */
  heavy: { percent: number; pain: number } | null;
  load: {
    /** In % of 1RM, of the last set; null without kilograms. */
    percent: number | null;
    /** From what was signed to what the last set was lifted with, in steps of the kit; never above 0. */
    steps: number;
    lighter: boolean;
    /** Whether a step of the kit is left at or under the usual most. */
    heavier: boolean;
  };
};

/** A reading beside the kit as it is now and the heavy work of these days. */
export const doneOf = (reading: Reading, { kits, heavyWork }: Pick<Bounds, 'kits' | 'heavyWork'>): Done => ({
  ...reading,
  heavy: heavyOf(reading, heavyWork),
  load: loadIn(reading, kits),
});

function heavyOf({ exerciseId, limbs, load }: Reading, heavyWork: readonly HeavyWork[]): Done['heavy'] {
  if (!load) return null;
  const side = sideOf(limbs);
  const same = heavyWork.filter((work) => work.exerciseId === exerciseId && work.side === side);
  for (const { loadKg, pain } of same)
    if (pain !== null) return { percent: (100 * loadKg) / load.oneRepMaxKg, pain };
  return null;
}

function loadIn({ load }: Reading, kits: readonly WeightKit[]): Done['load'] {
  if (!load) return { percent: null, steps: 0, lighter: false, heavier: false };
  const { liftedKg, signedKg, oneRepMaxKg, weightKitId } = load;
  const kit = kits.find(({ id }) => id === weightKitId);
  const loads = kit ? makeableKg(kit) : [];
  const percentOf = (kg: number) => (100 * kg) / oneRepMaxKg;
  const next = loads.find((kg) => kg > liftedKg);
  return {
    percent: percentOf(liftedKg),
    steps: 0 - loads.filter((kg) => kg >= liftedKg && kg < signedKg).length,
    lighter: loads.some((kg) => kg < liftedKg),
    heavier: next !== undefined && percentOf(next) <= RULES['LOAD-3'].figures.percentOneRepMax.usualHigh,
  };
}
