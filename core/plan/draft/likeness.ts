import { musclesOf, needsKilograms } from '../../protocol/exercise';
import type { ExerciseId, Library } from '../../protocol/exercises';
import { rangesOf } from '../../protocol/joint-range';
import type { LimbKind } from '../../quantity/limb';
import type { Entry } from './pool';

/**
 * How alike two exercises are, 0 to 1: by the muscles they work, the joints they move and how far, and the position they are done in.
 * @example likeness('bar-squat', 'hip-hinge', libraryOf({})) < likeness('bar-squat', 'air-squat', libraryOf({})) //=> true
 * @example likeness('bar-squat', 'ankle-dorsiflexion-band', libraryOf({})) //=> 0
 */
export function likeness(one: ExerciseId, other: ExerciseId, library: Library): number {
  const [a, b] = [library[one], library[other]];
  if (!a || !b) return 0;
  const joints = overlap(a.joints, b.joints);
  return (
    0.5 * overlap(musclesOf(a.muscle), musclesOf(b.muscle)) +
    0.25 * joints +
    0.15 * Number(joints > 0 && a.position === b.position) +
    0.1 * Number(joints > 0) * rangeShared([one, a], [other, b])
  );
}

/** The share of the bending of the same joints that both go through, of what either does; 1 where it is not known. */
function rangeShared(one: Entry, other: Entry): number {
  const shares = rangesOf(...one).flatMap((a) => {
    const b = rangesOf(...other).find(({ joint }) => joint === a.joint);
    if (!b) return [];
    const both = Math.min(a.toDegrees, b.toDegrees) - Math.max(a.fromDegrees, b.fromDegrees);
    const either = Math.max(a.toDegrees, b.toDegrees) - Math.min(a.fromDegrees, b.fromDegrees);
    return either > 0 ? [Math.max(0, both) / either] : [];
  });
  return shares.length === 0 ? 1 : Math.min(...shares);
}

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
