import type { Limb } from '../quantity/limb';
import type { Random } from '../simulation/random';
import type { Bout } from './bouts';
import { MODEL, type Trainee } from './fatigue-model';
import { boutRunner, type RunBouts } from './run-bouts';

/** How probable each trainee is: `weights` sum to 1, in the order of `trainees`. */
export type Posterior = { trainees: Trainee[]; weights: number[]; setsSeen: number };

const STEPS = { endurance: 41, recovery: 17 };
const REACH = 3;

/** Points of the grid for ln of one factor: three standard deviations either way. */
const gridOf = (spread: number, steps: number): number[] =>
  Array.from({ length: steps }, (_, i) => spread * REACH * ((2 * i) / (steps - 1) - 1));

const TRAINEES: Trainee[] = gridOf(MODEL.personSpread.endurance, STEPS.endurance).flatMap((lnEndurance) =>
  gridOf(MODEL.personSpread.recovery, STEPS.recovery).map((lnRecovery) => ({
    endurance: Math.exp(lnEndurance),
    recovery: Math.exp(lnRecovery),
  })),
);

const squares = (value: number): number => value * value;
const lnPrior = ({ endurance, recovery }: Trainee): number =>
  -0.5 * squares(Math.log(endurance) / MODEL.personSpread.endurance) -
  0.5 * squares(Math.log(recovery) / MODEL.personSpread.recovery);

/**
 * What logged sessions say about one limb: Bayes' rule on a grid of endurance and recovery. A set that failed says where
 * the capacity ended; one that was finished, or stopped by a person, that it did not end before. A set of two limbs counts
 * for each. With nothing seen it is the spread between people, and says so by `setsSeen`.
 */
export function fitTrainee(sessions: readonly (readonly Bout[])[], limb: Limb): Posterior {
  const seen = sessions.map((bouts) => boutsOfLimb(bouts, limb)).filter((bouts) => bouts.length > 0);
  const runs = seen.map((bouts) => ({ bouts, run: boutRunner(bouts) }));
  const lnWeights = TRAINEES.map(
    (trainee) =>
      lnPrior(trainee) + runs.reduce((sum, { bouts, run }) => sum + lnLikelihood(trainee, bouts, run), 0),
  );
  const most = Math.max(...lnWeights);
  const raw = lnWeights.map((ln) => Math.exp(ln - most));
  const total = raw.reduce((sum, weight) => sum + weight, 0);
  return {
    trainees: TRAINEES,
    weights: raw.map((weight) => weight / total),
    setsSeen: seen.reduce((sum, bouts) => sum + bouts.length, 0),
  };
}

const boutsOfLimb = (bouts: readonly Bout[], limb: Limb): Bout[] =>
  bouts.flatMap((bout) => {
    const muscles = bout.muscles.filter((muscle) => muscle.limb === limb);
    return bout.done && muscles.length > 0 ? [{ ...bout, muscles }] : [];
  });

// A set that the model cannot explain at all must not rule a trainee out for ever.
const LEAST = 1e-9;
// Below half a repetition a logarithm would make much of nothing.
const LEAST_REPS = 0.5;

const lnLikelihood = (trainee: Trainee, bouts: readonly Bout[], run: RunBouts): number =>
  run(() => trainee).reduce((sum, { possible, done }, place) => {
    const off = Math.log(Math.max(LEAST_REPS, done) / Math.max(LEAST_REPS, possible)) / MODEL.setSpread;
    const failed = bouts[place]?.done?.failed ?? false;
    return sum + Math.log(LEAST + (failed ? Math.exp(-0.5 * off * off) / MODEL.setSpread : atLeast(off)));
  }, 0);

/** Probability that a standard normal number is above `z` (Abramowitz and Stegun 26.2.17, error below 1e-7). */
export function atLeast(z: number): number {
  const t = 1 / (1 + 0.2316419 * Math.abs(z));
  const tail =
    Math.exp((-z * z) / 2) *
    0.3989422804014327 *
    t *
    (0.31938153 + t * (-0.356563782 + t * (1.781477937 + t * (-1.821255978 + t * 1.330274429))));
  return z >= 0 ? tail : 1 - tail;
}

/** A trainee with the general values of the model. */
export const USUAL: Trainee = { endurance: 1, recovery: 1 };

/** Draws trainees as often as they are probable, by the running sum of the weights. */
export function drawerOf({ trainees, weights }: Posterior): (random: Random) => Trainee {
  let sum = 0;
  const upTo = weights.map((weight) => {
    sum += weight;
    return sum;
  });
  return (random) => {
    const drawn = random() * sum;
    let low = 0;
    let high = upTo.length - 1;
    while (low < high) {
      const middle = (low + high) >> 1;
      if ((upTo[middle] ?? 1) < drawn) low = middle + 1;
      else high = middle;
    }
    return trainees[low] ?? USUAL;
  };
}
