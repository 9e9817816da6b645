import type { Trial } from '../occlusion-pressure/trial';

/** A simulated limb: its arterial flow stops at and above `occlusionMmHg`. */
export type SimulatedLimb = { occlusionMmHg: number };

/**
 * One up-and-down trial on a simulated limb by an operator who misses nothing.
 * Inflates from zero in steps of `upMmHg` until the pulse is gone, then deflates in steps of `downMmHg` until it is back.
 * @returns readings in mmHg; `backMmHg` is never below 0
 */
export function simulateTrial(limb: SimulatedLimb, upMmHg: number, downMmHg: number): Trial {
  const goneMmHg = Math.ceil(limb.occlusionMmHg / upMmHg) * upMmHg;
  let backMmHg = goneMmHg;
  while (backMmHg >= limb.occlusionMmHg) backMmHg = Math.max(0, backMmHg - downMmHg);
  return { goneMmHg, upMmHg, backMmHg, downMmHg };
}
