import { list, type Text } from '../message/message';
import { SIDE_NAMES } from '../quantity/limb';
import { sideOf } from '../strength/in-force';
import type { PlannedExercise } from './plan';

type Called = Pick<PlannedExercise, 'exerciseId' | 'label'> & {
  limbs: readonly { limb: PlannedExercise['limbs'][number]['limb'] }[];
};

/**
 * What the exercises of a session are called in it, in their order: with the side where two would read alike.
 * @example calledIn([press, kneeLeft, kneeRight]) //=> ['Leg press', 'Knee extension, left', 'Knee extension, right']
 */
export function calledIn(exercises: readonly Called[]): Text[] {
  return exercises.map(({ exerciseId, label, limbs }) => {
    const isAlone = exercises.filter((other) => other.exerciseId === exerciseId).length === 1;
    const side = sideOf(limbs.map(({ limb }) => limb));
    return isAlone || !side ? label : list([label, SIDE_NAMES[side]], ', ');
  });
}
