import { RULES } from '../rules/catalogue';
import type { ExerciseChoice, SessionChoice, SetChoice } from './choices';
import { supersetsOf } from './set-order';

const FREE_MS = RULES['PRO-1'].figures.continuousOcclusionMs.freeFlowToRestart;

/**
 * A session in which an exercise alternates, set by set, with the one before it, or no longer does. On one limb the cuff
 * stays as it was between sets, so that what led out of an exercise becomes a rest like its others; where other limbs come
 * next, every cuff is deflated after its set.
 * @param place of the exercise; the first one of a session has nothing to alternate with
 */
export function alternate(session: SessionChoice, place: number, on: boolean): SessionChoice {
  if (place === 0) return session;
  const exercises = session.exercises.map((choice, index) =>
    index === place ? alternates(choice, on) : choice,
  );
  const changed = { ...session, exercises };
  if (!on) {
    // The exercise before it leads out again, the cuff down for the minute that restarts its clock (rule PRO-1).
    return changeAt(changed, [place - 1], (choice) => endWith(choice, { release: true, restMs: FREE_MS }));
  }
  const superset = supersetsOf(exercises).find((one) => one.includes(place)) ?? [];
  const led = changeAt(changed, superset.slice(0, -1), (choice) => {
    const usual = choice.sets.at(-2);
    return usual ? endWith(choice, { release: usual.release, restMs: usual.restMs }) : choice;
  });
  const limbs = new Set(superset.map((index) => limbsKey(exercises[index])));
  return limbs.size > 1 ? downInSuperset(led, superset) : led;
}

/**
 * A session whose exercises were moved or left out: one goes on alternating only where the one before it is the same still.
 * @param before the exercises as they were, `session` has the same objects in another order
 */
export const keepSupersets = (before: readonly ExerciseChoice[], session: SessionChoice): SessionChoice => ({
  ...session,
  exercises: session.exercises.map((choice, place) =>
    choice.alternates && session.exercises[place - 1] !== before[before.indexOf(choice) - 1]
      ? alternates(choice, false)
      : choice,
  ),
});

/** Every cuff of exercises that alternate deflated after each of its sets. @param superset their places */
export const downInSuperset = (session: SessionChoice, superset: readonly number[]): SessionChoice =>
  changeAt(session, superset, (choice) => ({
    ...choice,
    sets: choice.sets.map((set) => ({ ...set, release: true })),
  }));

const limbsKey = (choice: ExerciseChoice | undefined): string =>
  (choice?.limbs ?? [])
    .map(({ limb }) => limb)
    .sort()
    .join(' ');

function alternates({ alternates: _, ...choice }: ExerciseChoice, on: boolean): ExerciseChoice {
  return on ? { ...choice, alternates: true } : choice;
}

const endWith = (choice: ExerciseChoice, end: Partial<SetChoice>): ExerciseChoice => ({
  ...choice,
  sets: choice.sets.map((set, at) => (at === choice.sets.length - 1 ? { ...set, ...end } : set)),
});

const changeAt = (
  session: SessionChoice,
  places: readonly number[],
  change: (choice: ExerciseChoice) => ExerciseChoice,
): SessionChoice => ({
  ...session,
  exercises: session.exercises.map((choice, index) => (places.includes(index) ? change(choice) : choice)),
});
