import { LIMBS, type Limb } from '../quantity/limb';
import { type LimbLimits, type Limits, limitsByLimb } from './clearance';

export const NO_LIMITS: Limits = limitsByLimb([], LIMBS, 0);

/** Some limbs, or all, with limits of their own; the others without any. */
export const limited = (changes: Partial<LimbLimits>, limbs: readonly Limb[] = LIMBS): Limits => ({
  ...NO_LIMITS,
  ...Object.fromEntries(limbs.map((limb) => [limb, { ...NO_LIMITS[limb], ...changes }])),
});

/** Only these may be trained. */
export const clearedAlone = (...limbs: Limb[]): Limits =>
  limited(
    { isCleared: false },
    LIMBS.filter((limb) => !limbs.includes(limb)),
  );

/** The first, with whether a limb may be trained as the second says. */
export const allOf = (limits: Limits, cleared: Limits): Limits =>
  Object.fromEntries(
    LIMBS.map((limb) => [limb, { ...limits[limb], isCleared: cleared[limb].isCleared }]),
  ) as Limits;
