import { type ExerciseChoice, setsOf } from './choices';
import { testExercise } from './plan.fixture';

/** Cycles of the cuff on the left thigh of the person for tests, lying and at rest. */
export const testCycles = (more: Partial<ExerciseChoice> = {}): ExerciseChoice =>
  testExercise(
    { exerciseId: 'passive-cuff-leg', protocolId: 'cycles', position: 'lying' },
    {
      load: { kind: 'unweighed', with: 'limb weight only' },
      sets: setsOf('cycles', 10_000, 60_000),
      ...more,
    },
  );
