import { type Message, msg } from '../message/message';
import { ARM_TEACHING } from './data/arm-teaching';
import { LEG_TEACHING } from './data/leg-teaching';
import { type Exercise, isWeighed } from './exercise';
import type { StandardExerciseId } from './exercises';
import type { Teaching } from './teach';

const TEACHING: Record<StandardExerciseId, Teaching> = { ...LEG_TEACHING, ...ARM_TEACHING };

/** @returns null for an exercise the practice has added itself */
export const teachingOf = (id: string): Teaching | null =>
  Object.hasOwn(TEACHING, id) ? TEACHING[id as StandardExerciseId] : null;

/** How one breathes in it, by what kind of work it is. */
export function breathingOf({ kind, rung }: Pick<Exercise, 'kind' | 'rung'>): Message {
  if (kind === 'passive') return msg('Breathe as usual.');
  if (kind === 'aerobic') return msg('Breathe so that you can talk.');
  if (rung === 'isometric') return msg('Keep breathing while you hold; never hold the breath.');
  return msg('Out as you lift or push, in as you lower; never hold the breath.');
}

/**
 * Whether a single heaviest repetition may be tested, or the maximum is reckoned from more (rule LOAD-1).
 * @example mayTestSingle('wrist-extension', library['wrist-extension']) //=> false
 */
export const mayTestSingle = (id: string, exercise: Exercise): boolean =>
  !isWeighed(exercise) || !teachingOf(id)?.noSingle;
