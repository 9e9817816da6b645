import type { Trial } from '../occlusion-pressure/trial';
import { pulseStrength, type SimulatedLimb } from './limb';

/** How an operator goes about a trial: steps in mmHg, and the faintest pulse they notice (0–1). */
export type Operator = { upMmHg: number; downMmHg: number; noticesFrom: number; dwellMs: number };

/** An operator who misses nothing and waits long enough at each step to feel every breath. */
export const CAREFUL: Operator = { upMmHg: 10, downMmHg: 4, noticesFrom: 0, dwellMs: 4_000 };

/**
 * One up-and-down trial on a simulated limb: inflates from zero in steps until no pulse is noticed, then deflates
 * until it is noticed again.
 * @returns readings in mmHg; `backMmHg` is never below 0
 */
export function simulateTrial(limb: SimulatedLimb, operator: Operator, startMs = 0): Trial {
  const { upMmHg, downMmHg } = operator;
  let atMs = startMs;
  const notices = (cuffMmHg: number): boolean => {
    atMs += operator.dwellMs;
    return strongest(limb, cuffMmHg, atMs - operator.dwellMs, atMs) > operator.noticesFrom;
  };
  let goneMmHg = 0;
  while (notices(goneMmHg)) goneMmHg += upMmHg;
  let backMmHg = goneMmHg;
  do {
    backMmHg = Math.max(0, backMmHg - downMmHg);
  } while (backMmHg > 0 && !notices(backMmHg));
  return { goneMmHg, upMmHg, backMmHg, downMmHg };
}

function strongest(limb: SimulatedLimb, cuffMmHg: number, fromMs: number, toMs: number): number {
  const everyMs = 250;
  let most = 0;
  for (let atMs = fromMs; atMs < toMs; atMs += everyMs)
    most = Math.max(most, pulseStrength(limb, cuffMmHg, atMs));
  return most;
}
