import { describe, expect, it } from 'vitest';
import { englishOf } from '#language/english-of.fixture';
import { testBasis, testExercise } from './plan.fixture';
import { fitTemplate } from './template';

const sessionOf = (...exercises: ReturnType<typeof testExercise>[]) => ({
  goal: 'size' as const,
  schoolId: 'research-consensus' as const,
  exercises,
});
const byHand = testExercise(
  {},
  {
    limbs: [{ kind: 'arbitrary', limb: 'left-thigh', cuffId: 'thigh-large', pressureMmHg: 90 }],
  },
);

describe('a kept session, fitted to a person (LOP-4, LOAD-2)', () => {
  it('takes the measured pressure of the person in the place of a chosen one', () => {
    expect(fitTemplate(sessionOf(byHand), testBasis()).session?.exercises[0]?.limbs).toEqual([
      { kind: 'measured', limb: 'left-thigh', occlusionId: 'lop', percentLop: 40 },
    ]);
  });

  it('leaves out what is not in the library, and waits for nothing', () => {
    const gone = testExercise({ exerciseId: 'gone' });
    const { session, notes } = fitTemplate(
      sessionOf(gone, testExercise({}, { alternates: true })),
      testBasis(),
    );
    expect(session?.exercises.map(({ exerciseId, alternates }) => [exerciseId, alternates])).toEqual([
      ['knee-extension', undefined],
    ]);
    expect(englishOf(notes)).toEqual([
      'An exercise of the template is no longer in the library and was left out.',
    ]);
  });
});
