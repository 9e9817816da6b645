import { describe, expect, it } from 'vitest';
import { isWeighed } from './exercise';
import { EXERCISE_IDS, EXERCISES, exerciseIdSchema, findExercises } from './exercises';

describe('the exercise library', () => {
  it('has about sixty exercises, each name once, each with a cue in one line', () => {
    expect(EXERCISE_IDS.length).toBeGreaterThanOrEqual(60);
    const labels = EXERCISE_IDS.map((id) => EXERCISES[id].label);
    expect(new Set(labels).size).toBe(labels.length);
    for (const id of EXERCISE_IDS) expect(EXERCISES[id].cue).toMatch(/^[^\n]{15,90}\.$/);
  });

  it('has something for each kind of limb on every rung of the ladder (PRO-5)', () => {
    for (const limbKind of ['arm', 'leg']) {
      const rungs = EXERCISE_IDS.filter((id) => EXERCISES[id].limbKind === limbKind).map(
        (id) => EXERCISES[id].rung,
      );
      expect(new Set(rungs)).toEqual(new Set(['passive', 'isometric', 'unloaded', 'loaded', 'functional']));
    }
  });

  it('moves no joint in holds and passive work, and weighs neither', () => {
    for (const id of EXERCISE_IDS) {
      const exercise = EXERCISES[id];
      if (exercise.rung !== 'isometric' && exercise.rung !== 'passive') continue;
      expect(exercise.joints).toEqual([]);
      expect(isWeighed(exercise)).toBe(false);
    }
  });

  it('is found by name, muscle, kit or position, in any order of words', () => {
    expect(findExercises('biceps dumbbells')).toContain('hammer-curl');
    expect(findExercises('STANDING calf')).toEqual(['calf-raise-standing']);
    expect(findExercises('')).toEqual(EXERCISE_IDS);
    expect(findExercises('trampoline')).toEqual([]);
  });

  it('is what the schema accepts', () => {
    expect(exerciseIdSchema.safeParse('goblet-squat').success).toBe(true);
    expect(exerciseIdSchema.safeParse('somersault').success).toBe(false);
  });
});
