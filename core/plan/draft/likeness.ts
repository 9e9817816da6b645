import { type Exercise, musclesOf, needsKilograms } from '../../protocol/exercise';
import type { ExerciseId, Library } from '../../protocol/exercises';
import type { LimbKind } from '../../quantity/limb';

/**
 * How alike two exercises are, 0 to 1: by the muscles they work, the joints they move and the position they are done in.
 * @example likeness('bar-squat', 'air-squat', libraryOf({})) //=> 1
 * @example likeness('bar-squat', 'ankle-dorsiflexion-band', libraryOf({})) //=> 0
 */
export function likeness(one: ExerciseId, other: ExerciseId, library: Library): number {
  const [a, b] = [library[one], library[other]];
  if (!a || !b) return 0;
  return (
    0.5 * overlap(musclesOf(a.muscle), musclesOf(b.muscle)) +
    0.35 * overlap(a.joints, b.joints) +
    0.15 * Number(isAlikeIn(a, b) && overlap(a.joints, b.joints) > 0)
  );
}

const isAlikeIn = (a: Exercise, b: Exercise): boolean => a.position === b.position;

/** The share of what either has that both have. */
function overlap(some: readonly string[], others: readonly string[]): number {
  const all = new Set([...some, ...others]);
  return all.size === 0 ? 0 : some.filter((one) => others.includes(one)).length / all.size;
}

/** The lifts that are warmed up for: compound, and by kilograms. */
export const liftsBefore = (library: Library, kind: LimbKind): ExerciseId[] =>
  Object.entries(library)
    .filter(
      ([, exercise]) =>
        exercise.limbKind === kind && exercise.kind === 'compound' && needsKilograms(exercise),
    )
    .map(([id]) => id);
