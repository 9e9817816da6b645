import leven from 'leven';
import { type ExerciseId, findExercises, type Library, nearestWords } from '#core/protocol';
import { translate } from '../language/translate';

/** Exercises by a few letters; where none has them, those of the nearest words, which are said as `meant`. @example 'squad' //=> the squats, meant: 'squat' */
export function searchExercises(
  sought: string,
  library: Library,
): { ids: ExerciseId[]; meant: string | null } {
  const ids = findExercises(sought, library, translate);
  const meant = ids.length === 0 ? nearestWords(sought, library, translate, leven) : null;
  return { ids: meant === null ? ids : findExercises(meant, library, translate), meant };
}
