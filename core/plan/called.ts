import { sideOf } from '../strength/in-force';
import type { PlannedExercise } from './plan';

type Called = Pick<PlannedExercise, 'label'> & {
  limbs: readonly { limb: PlannedExercise['limbs'][number]['limb'] }[];
};

/**
 * What the exercises of a session are called in it, in their order: with the side where two would read alike.
 * @example calledIn([press, kneeLeft, kneeRight]) //=> ['Leg press', 'Knee extension, left', 'Knee extension, right']
 */
export function calledIn(exercises: readonly Called[]): string[] {
  return exercises.map(({ label, limbs }) => {
    const isAlone = exercises.filter((other) => other.label === label).length === 1;
    const side = sideOf(limbs.map(({ limb }) => limb));
    return isAlone || !side ? label : `${label}, ${side}`;
  });
}
