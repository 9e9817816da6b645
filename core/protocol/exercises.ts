import type { Text } from '../message/message';
import { byName } from '../quantity/by-name';
import { POSITION_NAMES } from '../quantity/limb';
import { ARM_EXERCISES } from './data/arm-exercises';
import { LEG_EXERCISES } from './data/leg-exercises';
import { SHOULDER_AND_HAND_EXERCISES } from './data/shoulder-and-hand-exercises';
import { STEP_AND_HIP_EXERCISES } from './data/step-and-hip-exercises';
import { EQUIPMENT_NAMES } from './equipment-words';
import { everydayWords } from './everyday-words';
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

/** All that an exercise is found by: its name, what it is called every day, its muscle, equipment, kind and position. */
function searchText(id: ExerciseId, exercise: Exercise, inLanguage: (text: Text) => string): string {
  const { label, muscle, equipment, kind, position } = exercise;
  const said = [
    label,
    everydayWords(id) ?? '',
    musclesText(muscle),
    EQUIPMENT_NAMES[equipment],
    POSITION_NAMES[position],
  ];
  return [...said.map(inLanguage), muscle, kind, position].join(' ').toLowerCase();
}

const wordsOf = (text: string): string[] =>
  text
    .toLowerCase()
    .split(/[\s,]+/)
    .filter(Boolean);

/** Exercises whose name, everyday name, muscle, equipment or kind contain every word of `sought`, in the library's order. */
export function findExercises(
  sought: string,
  library: Library,
  inLanguage: (text: Text) => string,
): ExerciseId[] {
  const words = wordsOf(sought);
  return Object.entries(library)
    .filter(([id, exercise]) => {
      const text = searchText(id, exercise, inLanguage);
      return words.every((word) => text.includes(word));
    })
    .map(([id]) => id);
}

/** Letters that may be wrong in a word: one of a short one, two of a long one, none of what has no more than three. */
const mostWrong = (word: string): number => (word.length < 4 ? 0 : word.length < 7 ? 1 : 2);

/**
 * What may have been meant where nothing is found: each word by the one of the library that it is nearest to.
 * @param distance letters that two words differ by
 * @returns null where a word is like none
 * @example nearestWords('squad', library, inLanguage, leven) //=> 'squat'
 */
export function nearestWords(
  sought: string,
  library: Library,
  inLanguage: (text: Text) => string,
  distance: (a: string, b: string) => number,
): string | null {
  const known = new Set(
    Object.entries(library).flatMap(([id, exercise]) => wordsOf(searchText(id, exercise, inLanguage))),
  );
  const meant = wordsOf(sought).map((word) => {
    if ([...known].some((one) => one.includes(word))) return word;
    const [nearest] = [...known]
      .map((one) => ({ one, away: distance(word, one) }))
      .filter(({ away }) => away <= mostWrong(word))
      .sort((a, b) => a.away - b.away);
    return nearest?.one ?? null;
  });
  return meant.includes(null) ? null : meant.join(' ');
}
