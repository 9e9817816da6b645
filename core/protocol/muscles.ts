import type { Text } from '../message/message';
import { type Limb, limbKind } from '../quantity/limb';
import { musclesOf } from './exercise';
import type { ExerciseId, Library } from './exercises';
import { muscleName } from './muscle-names';

/** The muscles an exercise works, each for itself; its id stands for those of one that is in no library any more. */
export const musclesWorked = (id: ExerciseId, library: Library): string[] =>
  musclesOf(library[id]?.muscle ?? id);

/**
 * A muscle with the kind of limb it is of: what how often is counted by (rule PRO-3). Two limbs of an exercise are one kind.
 * @example muscleKeys('knee-extension', ['left-thigh'], library) //=> ['quadriceps leg']
 */
export const muscleKeys = (id: ExerciseId, limbs: readonly Limb[], library: Library): string[] =>
  musclesWorked(id, library).flatMap((muscle) =>
    limbs.slice(0, 1).map((limb) => `${muscle} ${limbKind(limb)}`),
  );

/** The muscle of such a key, as it is said. @example muscleOf('quadriceps leg') //=> "quadriceps" */
export const muscleOf = (key: string): Text => muscleName(key.replace(/ (arm|leg)$/, ''));
