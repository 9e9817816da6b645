/**
 * A model of how repetitions tire one muscle under a cuff. It is a planning aid made for this app, not a finding of
 * physiology: its shape is simple, and its numbers are chosen so that a usual person at 30 % of 1RM and 60 % of LOP, with
 * rests of 30 s and 2 s a repetition, does about 30/14/10/8. It informs; it never sets a load.
 *
 * With `x` the load as a share of 1RM, `r` the pressure held as a share of LOP (0 while the cuff is down), `t` the seconds
 * a repetition takes, and `a`, `b` a limb's endurance and recovery (both 1 for a usual person):
 * - repetitions to failure when fresh: `M = a · 8.6 · x^−1.4 · e^(−0.6·r) · (2/t)^0.5`
 * - each repetition adds `1/M` to the fatigue, 60 % of it to a fast pool and 40 % to a slow one; at 1 in all the set fails
 * - nothing recovers within a set of the muscle; between its sets each pool falls as `e^(−b·time/τ)`, with `τ` 20 s and
 *   500 s, each slowed by `1 + r`, whatever else is done meanwhile
 * - from one set to the next the same person's `M` varies by a factor of about `e^±0.1`
 */
export const MODEL = {
  freshReps: 8.6,
  loadPower: -1.4,
  restriction: 0.6,
  usualRepMs: 2000,
  tempoPower: 0.5,
  pools: { fast: { share: 0.6, tauMs: 20_000 }, slow: { share: 0.4, tauMs: 500_000 } },
  /** Standard deviation of ln M from set to set. */
  setSpread: 0.1,
  /** Standard deviations of ln a and ln b from person to person. */
  personSpread: { endurance: 0.35, recovery: 0.35 },
} as const;

/** A limb as the model sees it; 1 and 1 is usual. */
export type Trainee = { endurance: number; recovery: number };

/** What is left of the work done, in each pool; 1 in all is failure. */
export type Fatigue = { fast: number; slow: number };

/** A stretch of time and the share of LOP that was on during it, 0 in free flow. */
export type Stretch = { ms: number; share: number };

export const FRESH: Fatigue = { fast: 0, slow: 0 };

/**
 * Repetitions to failure of a usual, fresh person, not rounded.
 * @param loadShare load as a share of 1RM, above 0 @param pressureShare pressure as a share of LOP, 0–1
 * @example freshReps(0.3, 0.6, 2000) //=> 32.4
 */
export const freshReps = (loadShare: number, pressureShare: number, repMs: number): number =>
  MODEL.freshReps *
  loadShare ** MODEL.loadPower *
  Math.exp(-MODEL.restriction * pressureShare) *
  (MODEL.usualRepMs / repMs) ** MODEL.tempoPower;

/** How far each pool recovers over some stretches, as the exponents of a usual person. */
export const recoveryOver = (stretches: readonly Stretch[]): Fatigue => {
  const over = (tauMs: number) =>
    stretches.reduce((sum, { ms, share }) => sum + ms / (tauMs * (1 + share)), 0);
  return { fast: over(MODEL.pools.fast.tauMs), slow: over(MODEL.pools.slow.tauMs) };
};

/** Fatigue after a recovery, quicker or slower by the person's own factor. */
export const recovered = ({ fast, slow }: Fatigue, over: Fatigue, recovery: number): Fatigue => ({
  fast: fast * Math.exp(-recovery * over.fast),
  slow: slow * Math.exp(-recovery * over.slow),
});

/** What is left before failure, as a share of all that a fresh muscle has. */
export const roomLeft = ({ fast, slow }: Fatigue): number => Math.max(0, 1 - fast - slow);

/** Fatigue after work. @param share of all that a fresh muscle has; more than there was room for ends at failure */
export function worked(fatigue: Fatigue, share: number): Fatigue {
  const added = Math.min(share, roomLeft(fatigue));
  const { fast, slow } = MODEL.pools;
  return { fast: fatigue.fast + fast.share * added, slow: fatigue.slow + slow.share * added };
}
