import { type Message, msg } from '../message/message';
import type { Plan } from '../plan/plan';
import { isArbitrary } from '../plan/target';
import { RULES } from '../rules/catalogue';
import type { SessionState } from './state';

const { mostEffort } = RULES['PRS-7'].figures;

/**
 * What to do when work without a LOP got harder than it may (rule PRS-7).
 * @returns null where it did not, or the next set has begun
 */
export function tooHardWords(plan: Plan, state: SessionState): Message | null {
  const last = state.sets.at(-1);
  const exercise = last && plan.exercises[last.exerciseIndex];
  if (!exercise || !isArbitrary(exercise) || last.endedAtMs === null) return null;
  if (last.effort === null || last.effort <= mostEffort) return null;
  return msg(
    'Effort {effort} of 10 under an arbitrary pressure; {mostEffort} is the most: go easier, or loosen.',
    { effort: last.effort, mostEffort },
  );
}
