import type { Plan, PlannedExercise } from './plan';

/**
 * How many of some sets a share of them is: to the nearest whole, and never none.
 * @example setsAtShare(4, 0.5) //=> 2
 */
export const setsAtShare = (sets: number, share: number): number => Math.max(1, Math.round(share * sets));

/**
 * A plan with a share of its sets, from the first on; what comes after an exercise stays as it was (rule PRO-4). Pressures and
 * loads stay, so nothing of it can be more than was signed.
 */
export const cutSets = (plan: Plan, share: number): Plan => ({
  ...plan,
  exercises: plan.exercises.map((exercise) => ({
    ...exercise,
    sets: keepSets(exercise, setsAtShare(exercise.sets.length, share)),
  })),
});

/** The first sets of an exercise; what comes after the exercise comes after the last of them. */
export function keepSets({ sets }: Pick<PlannedExercise, 'sets'>, count: number): PlannedExercise['sets'] {
  const kept = sets.slice(0, count);
  const last = sets.at(-1);
  return kept.map((set, place) =>
    last && place === kept.length - 1 ? { ...set, restMs: last.restMs, release: last.release } : set,
  );
}
