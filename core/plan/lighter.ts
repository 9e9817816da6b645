import { type Message, msg } from '../message/message';
import { keepSets } from './cut-sets';
import { LIGHTER_NAMES, type Lighter, WHY_LIGHTER } from './lighter-schema';
import type { Plan } from './plan';

/** @example lighterWords({ how: 'sets', why: 'sore' }) //=> 'Lighter today: one set fewer. Sore.' */
export const lighterWords = ({ how, why }: Lighter): Message =>
  msg('Lighter today: {how}. {why}.', { how: LIGHTER_NAMES[how], why: WHY_LIGHTER[why] });

/** A plan without the last set of each exercise that has more than one; pressures and loads stay. */
export const oneSetFewer = (plan: Plan): Plan => ({
  ...plan,
  exercises: plan.exercises.map((exercise) => ({
    ...exercise,
    sets: keepSets(exercise, Math.max(1, exercise.sets.length - 1)),
  })),
});
