import { keepSets } from './cut-sets';
import type { Plan } from './plan';

/** Why somebody trains lighter today, though nothing holds the session (rule SCR-3). */
export const WHY_LIGHTER = {
  'slept-badly': 'Slept badly',
  'not-eaten': 'Not eaten or drunk',
  unwell: 'Unwell',
  sore: 'Sore',
} as const;
export type WhyLighter = keyof typeof WHY_LIGHTER;

/** What is made lighter, for today alone. */
export const LIGHTER_WAYS = {
  pressure: 'Ten points less',
  sets: 'One set fewer',
} as const;

/** A lighter version of a plan, for today. */
export type Lighter = { how: keyof typeof LIGHTER_WAYS; why: WhyLighter };

/** @example lighterWords({ how: 'sets', why: 'sore' }) //=> 'Lighter today: one set fewer. Sore.' */
export const lighterWords = ({ how, why }: Lighter): string =>
  `Lighter today: ${LIGHTER_WAYS[how].toLowerCase()}. ${WHY_LIGHTER[why]}.`;

/** A plan without the last set of each exercise that has more than one; pressures and loads stay. */
export const oneSetFewer = (plan: Plan): Plan => ({
  ...plan,
  exercises: plan.exercises.map((exercise) => ({
    ...exercise,
    sets: keepSets(exercise, Math.max(1, exercise.sets.length - 1)),
  })),
});
