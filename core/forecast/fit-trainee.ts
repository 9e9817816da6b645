import { fatigueAfterRest, MODEL, type ModelExercise, type Trainee } from './fatigue-model';

/** Sets of one exercise that were really done, in order, on the plan they were done by. */
export type SeenExercise = { model: ModelExercise; done: { reps: number; failed: boolean }[] };

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
 * What logged sets say about a person: Bayes' rule on a grid of endurance and recovery.
 * A set that failed says where the capacity ended; one that was finished says that it did not end before.
 * With nothing seen it is the spread between people, and says so by `setsSeen`.
 */
export function fitTrainee(seen: readonly SeenExercise[]): Posterior {
  const lnWeights = TRAINEES.map(
    (trainee) => lnPrior(trainee) + seen.reduce((sum, one) => sum + lnLikelihood(trainee, one), 0),
  );
  const most = Math.max(...lnWeights);
  const raw = lnWeights.map((ln) => Math.exp(ln - most));
  const total = raw.reduce((sum, weight) => sum + weight, 0);
  return {
    trainees: TRAINEES,
    weights: raw.map((weight) => weight / total),
    setsSeen: seen.reduce((sum, { done }) => sum + done.length, 0),
  };
}

// A set that the model cannot explain at all must not rule a trainee out for ever.
const LEAST = 1e-9;

function lnLikelihood({ endurance, recovery }: Trainee, { model, done }: SeenExercise): number {
  const capacity = model.freshReps * endurance;
  let fatigue = 0;
  let sum = 0;
  done.forEach(({ reps, failed }, setIndex) => {
    const possible = Math.max(0.5, (1 - fatigue) * capacity);
    const off = Math.log(Math.max(0.5, reps) / possible) / MODEL.setSpread;
    sum += Math.log(LEAST + (failed ? Math.exp(-0.5 * off * off) / MODEL.setSpread : atLeast(off)));
    fatigue = failed ? 1 : Math.min(1, fatigue + reps / capacity);
    const set = model.sets[setIndex];
    if (set) fatigue = fatigueAfterRest(fatigue, set, recovery);
  });
  return sum;
}

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
