import leven from 'leven';
import { describe, expect, it } from 'vitest';
import { englishOf } from '#language/english-of.fixture';
import { inEnglish } from '#language/render';
import type { Text } from '../message/message';
import { EVERYDAY } from './everyday-words';
import { exerciseSchema, isWeighed } from './exercise';
import {
  EVERY_EXERCISE,
  EXERCISES,
  type ExerciseFilter,
  findExercises,
  isAmong,
  libraryOf,
  nearestWords,
} from './exercises';

const LIBRARY = libraryOf({});
const ALL = Object.values(LIBRARY);

describe('the exercise library', () => {
  it('has about a hundred and ten exercises, each name once, each with a cue in one line', () => {
    expect(ALL.length).toBeGreaterThanOrEqual(110);
    expect(new Set(ALL.map(({ label }) => inEnglish(label))).size).toBe(ALL.length);
    for (const { cue } of ALL) expect(englishOf(cue)).toMatch(/^[^\n]{15,90}\.$/);
  });

  it('has something for each kind of limb on every rung of the ladder (PRO-5)', () => {
    for (const limbKind of ['arm', 'leg']) {
      const rungs = ALL.filter((exercise) => exercise.limbKind === limbKind).map(({ rung }) => rung);
      expect(new Set(rungs)).toEqual(new Set(['passive', 'isometric', 'unloaded', 'loaded', 'functional']));
    }
  });

  it('moves no joint in holds and passive work, and weighs neither', () => {
    for (const exercise of ALL) {
      if (exercise.rung !== 'isometric' && exercise.rung !== 'passive') continue;
      expect(exercise.joints).toEqual([]);
      expect(isWeighed(exercise)).toBe(false);
    }
  });

  it('is found by name, muscle, kit or position, in any order of words', () => {
    expect(findExercises('biceps dumbbells', LIBRARY, inEnglish)).toContain('hammer-curl');
    expect(findExercises('STANDING calf', LIBRARY, inEnglish)).toEqual(['calf-raise-standing']);
    expect(findExercises('', LIBRARY, inEnglish)).toHaveLength(ALL.length);
    expect(findExercises('trampoline', LIBRARY, inEnglish)).toEqual([]);
  });

  it.each([
    ['chair', 'sit-to-stand'],
    ['deadlift', 'deadlift'],
    ['deadlift', 'hip-hinge'],
    ['front squat', 'front-squat'],
    ['walking', 'walking'],
    ['walk', 'treadmill-incline'],
    ['stairs', 'step-up-15'],
    ['bike', 'cycling'],
    ['manual', 'passive-range-leg'],
    ['mobilisation', 'passive-range-arm'],
    ['without hands', 'sit-to-stand'],
    ['with hands', 'sit-to-stand-hands'],
  ])('is found by everyday words: %s is %s', (sought, id) => {
    expect(findExercises(sought, LIBRARY, inEnglish)).toContain(id);
  });

  it('has everyday words of its own exercises only', () => {
    expect(Object.keys(EVERYDAY).filter((id) => !(id in EXERCISES))).toEqual([]);
  });

  it('says what may have been meant where nothing is found', () => {
    const meant = (sought: string) => nearestWords(sought, LIBRARY, inEnglish, leven);
    expect(meant('squad')).toBe('squat');
    expect(meant('front squad')).toBe('front squat');
    expect(meant('bicepz curl')).toBe('biceps curl');
    expect(meant('trampoline')).toBeNull();
    expect(meant('xyz')).toBeNull();
  });

  it('is kept to a limb, a kind and what loads it', () => {
    const among = (filter: Partial<ExerciseFilter>) =>
      ALL.filter((exercise) => isAmong(exercise, { ...EVERY_EXERCISE, ...filter }));
    expect(among({})).toEqual(ALL);
    const bands = among({ limbKind: 'arm', kind: 'isolated', equipment: 'bands' });
    expect(bands.length).toBeGreaterThan(0);
    for (const exercise of bands)
      expect(englishOf(exercise)).toMatchObject({ limbKind: 'arm', kind: 'isolated', equipment: 'bands' });
    expect(among({ limbKind: 'arm' }).length + among({ limbKind: 'leg' }).length).toBe(ALL.length);
  });

  it('is found by its words in another language as well', () => {
    const inLanguage = (text: Text) =>
      `${inEnglish(text)} ${inEnglish(text) === 'Knee extension' ? 'Kniestreckung' : ''}`;
    expect(findExercises('kniestr', LIBRARY, inLanguage)).toEqual(['knee-extension']);
    expect(findExercises('knee ext', LIBRARY, inLanguage)).toContain('knee-extension');
  });

  it('is what the schema accepts, and takes the practice’s own exercises before the standard ones', () => {
    for (const exercise of ALL) expect(exerciseSchema.safeParse(exercise).success).toBe(true);
    const own = { ...LIBRARY['goblet-squat'], label: 'Goblet squat to a bench' } as (typeof ALL)[number];
    const library = libraryOf({ 'goblet-squat': own, 'bench-squat': own });
    expect(englishOf(library['goblet-squat']?.label)).toBe('Goblet squat to a bench');
    expect(findExercises('bench goblet', library, inEnglish)).toEqual(['goblet-squat', 'bench-squat']);
  });
});
