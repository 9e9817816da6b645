import type { Text } from '../message/message';
import { byName } from '../quantity/by-name';
import { POSITION_NAMES } from '../quantity/limb';
import { ARM_EXERCISES } from './data/arm-exercises';
import { LEG_EXERCISES } from './data/leg-exercises';
import { SHOULDER_AND_HAND_EXERCISES } from './data/shoulder-and-hand-exercises';
import { STEP_AND_HIP_EXERCISES } from './data/step-and-hip-exercises';
import { EQUIPMENT_NAMES } from './equipment-words';
import type { Exercise } from './exercise';
import { musclesText } from './muscle-names';

const LEGS = { ...LEG_EXERCISES, ...STEP_AND_HIP_EXERCISES };
const ARMS = { ...ARM_EXERCISES, ...SHOULDER_AND_HAND_EXERCISES };
export type LegExerciseId = keyof typeof LEGS;
export type ArmExerciseId = keyof typeof ARMS;

const STANDARD = { ...LEGS, ...ARMS };
export type StandardExerciseId = keyof typeof STANDARD;

/** Id of an exercise of the library, or of one the practice has added. */
export type ExerciseId = string;
export type Library = Readonly<Record<ExerciseId, Exercise>>;

/** The exercises every practice starts with, as data. */
export const EXERCISES: Record<StandardExerciseId, Exercise> = byName(STANDARD);

/**
 * The whole library of a practice: its own exercises come before the standard ones of the same id. A standard exercise
 * keeps its kind, limb and rung whatever a practice changes about it: the rules go by them (rules PRS-3, PRO-5).
 */
export function libraryOf(own: Library): Library {
  const additions = Object.entries(own);
  if (additions.length === 0) return EXERCISES;
  return byName({
    ...EXERCISES,
    ...Object.fromEntries(
      additions.map(([id, exercise]) => {
        const standard = (EXERCISES as Library)[id];
        return standard
          ? [id, { ...exercise, kind: standard.kind, limbKind: standard.limbKind, rung: standard.rung }]
          : [id, exercise];
      }),
    ),
  });
}

const FILTERED = ['limbKind', 'kind', 'equipment'] as const;

/** What a list of exercises is kept to. */
export type ExerciseFilter = { [key in (typeof FILTERED)[number]]: Exercise[key] | 'any' };
export const EVERY_EXERCISE: ExerciseFilter = { limbKind: 'any', kind: 'any', equipment: 'any' };

/** @example isAmong(LIBRARY['leg-press'], { ...EVERY_EXERCISE, limbKind: 'arm' }) //=> false */
export const isAmong = (exercise: Exercise, filter: ExerciseFilter): boolean =>
  FILTERED.every((key) => filter[key] === 'any' || filter[key] === exercise[key]);

/** Exercises whose name, muscle, equipment or kind contain every word of `sought`, in the library's order. */
export function findExercises(
  sought: string,
  library: Library,
  inLanguage: (text: Text) => string,
): ExerciseId[] {
  const words = sought.toLowerCase().split(/\s+/).filter(Boolean);
  return Object.entries(library)
    .filter(([, { label, muscle, equipment, kind, position }]) => {
      const said = [label, musclesText(muscle), EQUIPMENT_NAMES[equipment], POSITION_NAMES[position]];
      const text = [...said.map(inLanguage), muscle, kind, position].join(' ').toLowerCase();
      return words.every((word) => text.includes(word));
    })
    .map(([id]) => id);
}
