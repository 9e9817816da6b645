import type { Plan } from '../plan/plan';
import { normal, type Random, seededRandom } from '../simulation/random';
import { MODEL, type ModelExercise, modelOf, runExercise, type Trainee } from './fatigue-model';
import { fitTrainee, type Posterior, type SeenExercise } from './fit-trainee';

/** Likely repetitions of one set: the median, and the band that eight of ten runs fall in. */
export type SetForecast = {
  exerciseIndex: number;
  setIndex: number;
  plannedReps: number;
  likelyReps: number;
  lowReps: number;
  highReps: number;
  /** Chance that all planned repetitions are done, 0–1. */
  chance: number;
};

/** What a session is likely to bring. `chance` is that of finishing every set that can be foreseen, 0–1. */
export type Forecast = {
  sets: SetForecast[];
  chance: number;
  setsSeen: number;
  /** Exercises without a 1RM, or by the clock: nothing is said about them. */
  unforeseen: string[];
  runs: number;
};

export type ForecastQuestion = { plan: Plan; seen: SeenExercise[]; runs: number; seed: number };

const BAND = { low: 0.1, high: 0.9 };

/**
 * Repetitions that each set of a plan is likely to see, by a seeded Monte Carlo over people and days (see
 * `fatigue-model`). The same question gives the same answer. @returns `null` when no exercise can be foreseen
 */
export function forecast({ plan, seen, runs, seed }: ForecastQuestion): Forecast | null {
  const exercises = plan.exercises.map(modelOf);
  const foreseen = exercises.flatMap((model, exerciseIndex) => (model ? [{ model, exerciseIndex }] : []));
  if (foreseen.length === 0) return null;
  const posterior = fitTrainee(seen);
  const draw = drawerOf(posterior);
  const random = seededRandom(seed);
  const results = foreseen.map(({ model }) => model.sets.map(() => new Float64Array(runs)));
  let finished = 0;
  for (let run = 0; run < runs; run += 1) {
    const trainee = draw(random);
    let all = true;
    foreseen.forEach(({ model }, place) => {
      const varied = model.sets.map(() => Math.exp(MODEL.setSpread * normal(random)));
      const done = runExercise(model, trainee, (setIndex) => varied[setIndex] ?? 1);
      done.forEach((reps, setIndex) => {
        const column = results[place]?.[setIndex];
        if (column) column[run] = reps;
        if (isShort(model, setIndex, reps)) all = false;
      });
    });
    if (all) finished += 1;
  }
  return {
    sets: foreseen.flatMap(({ model, exerciseIndex }, place) =>
      model.sets.map(({ plannedReps }, setIndex) =>
        setForecast(results[place]?.[setIndex] ?? new Float64Array(), {
          exerciseIndex,
          setIndex,
          plannedReps,
        }),
      ),
    ),
    chance: finished / runs,
    setsSeen: posterior.setsSeen,
    unforeseen: plan.exercises.filter((_, i) => !exercises[i]).map(({ label }) => label),
    runs,
  };
}

const isShort = (model: ModelExercise, setIndex: number, reps: number): boolean =>
  reps < (model.sets[setIndex]?.plannedReps ?? 0);

function setForecast(
  column: Float64Array,
  place: Pick<SetForecast, 'exerciseIndex' | 'setIndex' | 'plannedReps'>,
): SetForecast {
  const sorted = column.slice().sort();
  const at = (share: number) => Math.floor(sorted[Math.floor(share * (sorted.length - 1))] ?? 0);
  const full = column.reduce((sum, reps) => sum + (reps >= place.plannedReps ? 1 : 0), 0);
  return {
    ...place,
    likelyReps: at(0.5),
    lowReps: at(BAND.low),
    highReps: at(BAND.high),
    chance: full / column.length,
  };
}

/** Draws trainees as often as they are probable, by the running sum of the weights. */
function drawerOf({ trainees, weights }: Posterior): (random: Random) => Trainee {
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
    return trainees[low] ?? { endurance: 1, recovery: 1 };
  };
}

/** What is known about the person, in words. */
export function knowledgeWords(setsSeen: number): string {
  if (setsSeen === 0) {
    return 'No logged set of this person: the band is that of people in general, and wide.';
  }
  return `Fitted to ${setsSeen} logged ${setsSeen === 1 ? 'set' : 'sets'} of this person.`;
}
