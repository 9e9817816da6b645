import { expect, it } from 'vitest';
import { EXERCISES, type StandardExerciseId } from '../protocol/exercises';
import { checkTest } from './check-test';
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
