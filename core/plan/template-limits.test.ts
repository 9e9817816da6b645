import { expect, it } from 'vitest';
import { englishOf } from '#language/english-of.fixture';
import { testExercise } from './plan.fixture';
import { whyForClinicians } from './template-limits';

const template = (...exercises: ReturnType<typeof testExercise>[]) =>
  ({ goal: 'size', schoolId: 'clinic', exercises }) as const;

it('leaves a template within its school to everyone who signs', () => {
  expect(whyForClinicians(template(testExercise({ percentLop: 80 })))).toBeNull();
});

it('leaves one above its school, and passive work, to clinicians, whichever of its exercises it is', () => {
  const usual = testExercise({ percentLop: 60 });
  expect(englishOf(whyForClinicians(template(usual, testExercise({ percentLop: 81 }))))).toBe(
    '81 % is above the 80 % that “Clinic” goes to: a clinician keeps it (SCR-4).',
  );
  expect(
    englishOf(whyForClinicians(template(usual, testExercise({}, { protocolId: 'passive-rehab' })))),
  ).toMatch(/passive/);
});
