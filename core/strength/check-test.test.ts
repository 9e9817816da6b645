import { expect, it } from 'vitest';
import { EXERCISES, type StandardExerciseId } from '../protocol/exercises';
import { checkTest } from './check-test';
import { heavyWorkChoiceSchema } from './heavy-work';
import type { Side } from './side';

const found = (id: StandardExerciseId, side: Side, reps = 8) =>
  checkTest(id, EXERCISES[id], { side, reps }, ['left-thigh']).map(({ rule, level }) => `${rule} ${level}`);

it('guards a test of an operated side, of both sides at once, and of no other limb (LOAD-2)', () => {
  expect(found('knee-extension', 'left')).toEqual(['LOAD-2 guard']);
  expect(found('knee-extension', 'both')).toEqual(['LOAD-2 guard']);
  expect(found('knee-extension', 'right')).toEqual([]);
  expect(found('elbow-flexion', 'left')).toEqual([]);
});

it('refuses a single heaviest repetition of small joints, and takes several (LOAD-1)', () => {
  expect(found('wrist-extension', 'right', 1)).toEqual(['LOAD-1 hard']);
  expect(found('wrist-extension', 'right', 2)).toEqual([]);
  expect(found('leg-press', 'right', 1)).toEqual([]);
});

it('takes heavy work of up to 20 sets of up to 30 repetitions', () => {
  const work = { exerciseId: 'leg-press', side: 'left', sets: 3, reps: 5, loadKg: 80, effort: 8 };
  const isTaken = (changes: object) => heavyWorkChoiceSchema.safeParse({ ...work, ...changes }).success;
  expect([{}, { sets: 20 }, { sets: 1 }, { reps: 30 }].map(isTaken)).toEqual([true, true, true, true]);
  expect([{ sets: 21 }, { sets: 0 }, { reps: 31 }, { loadKg: 0 }].map(isTaken)).toEqual([
    false,
    false,
    false,
    false,
  ]);
});
