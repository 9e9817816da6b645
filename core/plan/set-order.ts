import type { Plan } from './plan';
import type { PlannedSet } from './planned-set';

/** A set of a plan, by its exercise and its place in it. */
export type SetPlace = { exerciseIndex: number; setIndex: number };

type Ordered = readonly { alternates?: true | undefined; sets: readonly unknown[] }[];

/**
 * The order the sets of a session are done in: exercise by exercise, and set by set between exercises that alternate
 * (chapter 6). One with more sets goes on alone when the others are through.
 * @example setOrder of A with three sets and B, alternating, with two //=> A1 B1 A2 B2 A3
 */
export function setOrder({ exercises }: { exercises: Ordered }): SetPlace[] {
  return supersetsOf(exercises).flatMap((superset) => {
    const rounds = Math.max(...superset.map((index) => exercises[index]?.sets.length ?? 0));
    return Array.from({ length: rounds }, (_, setIndex) =>
      superset
        .filter((index) => setIndex < (exercises[index]?.sets.length ?? 0))
        .map((exerciseIndex) => ({ exerciseIndex, setIndex })),
    ).flat();
  });
}

/** Exercises that alternate, by their places; one that does not is alone. */
export function supersetsOf(exercises: Ordered): number[][] {
  const supersets: number[][] = [];
  exercises.forEach(({ alternates }, index) => {
    const before = supersets.at(-1);
    if (alternates && before) before.push(index);
    else supersets.push([index]);
  });
  return supersets;
}

/** Whether an exercise alternates with another. */
export const isInSuperset = ({ exercises }: Pick<Plan, 'exercises'>, exerciseIndex: number): boolean =>
  supersetsOf(exercises).some((superset) => superset.length > 1 && superset.includes(exerciseIndex));

/** A set of a plan. @throws RangeError where the plan has none at this place */
export function plannedAt(plan: Plan, { exerciseIndex, setIndex }: SetPlace): PlannedSet {
  const planned = plan.exercises[exerciseIndex]?.sets[setIndex];
  if (!planned) throw new RangeError(`no set ${setIndex} of exercise ${exerciseIndex}`);
  return planned;
}
