import { z } from 'zod';
import type { LimbKind, Position } from '../quantity/limb';

export const exerciseIdSchema = z.enum([
  'knee-extension',
  'straight-leg-raise',
  'leg-press',
  'bodyweight-box-squat',
  'elbow-flexion',
  'elbow-extension',
  'wrist-extension',
  'grip-squeeze',
]);
export type ExerciseId = z.infer<typeof exerciseIdSchema>;

/** An exercise: which kind of limb wears the cuff, the position it is done in, and a one-line cue. */
export type Exercise = { label: string; limbKind: LimbKind; position: Position; cue: string };

export const EXERCISES: Record<ExerciseId, Exercise> = {
  'knee-extension': {
    label: 'Knee extension',
    limbKind: 'leg',
    position: 'sitting',
    cue: 'Straighten all the way, toes up, lower as slowly as you lifted.',
  },
  'straight-leg-raise': {
    label: 'Straight leg raise',
    limbKind: 'leg',
    position: 'lying',
    cue: 'Knee locked, lift to the height of the other knee.',
  },
  'leg-press': {
    label: 'Leg press',
    limbKind: 'leg',
    position: 'sitting',
    cue: 'Push through the heel and stop short of locking the knee.',
  },
  'bodyweight-box-squat': {
    label: 'Box squat',
    limbKind: 'leg',
    position: 'standing',
    cue: 'Sit back to the box, touch it lightly, stand tall.',
  },
  'elbow-flexion': {
    label: 'Elbow flexion',
    limbKind: 'arm',
    position: 'sitting',
    cue: 'Elbow at your side, palm up, no swing.',
  },
  'elbow-extension': {
    label: 'Elbow extension',
    limbKind: 'arm',
    position: 'sitting',
    cue: 'Upper arm still, straighten fully.',
  },
  'wrist-extension': {
    label: 'Wrist extension',
    limbKind: 'arm',
    position: 'sitting',
    cue: 'Forearm on the table, lift the back of the hand.',
  },
  'grip-squeeze': {
    label: 'Grip squeeze',
    limbKind: 'arm',
    position: 'sitting',
    cue: 'Squeeze, hold a breath’s length, open the hand fully.',
  },
};
