import { z } from 'zod';
import { ARM_EXERCISES } from './arm-exercises';
import type { Exercise } from './exercise';
import { LEG_EXERCISES } from './leg-exercises';

const LIBRARY = { ...LEG_EXERCISES, ...ARM_EXERCISES };
export type ExerciseId = keyof typeof LIBRARY;

/** The exercise library, as data. */
export const EXERCISES: Record<ExerciseId, Exercise> = LIBRARY;
export const EXERCISE_IDS = Object.keys(LIBRARY) as ExerciseId[];
export const exerciseIdSchema = z.enum(EXERCISE_IDS as [ExerciseId, ...ExerciseId[]]);

/** Exercises whose name, muscle, equipment or kind contain every word of `sought`, in the library's order. */
export function findExercises(sought: string, among: readonly ExerciseId[] = EXERCISE_IDS): ExerciseId[] {
  const words = sought.toLowerCase().split(/\s+/).filter(Boolean);
  return among.filter((id) => {
    const { label, muscle, equipment, kind, position } = EXERCISES[id];
    const text = `${label} ${muscle} ${equipment.replace('-', ' ')} ${kind} ${position}`.toLowerCase();
    return words.every((word) => text.includes(word));
  });
}
