import { expect, it } from 'vitest';
import { englishOf } from '#language/english-of.fixture';
import type { SessionChoice } from './choices';
import { composeSession } from './compose';
import { deriveFor } from './derive-for';
import {
  measuredTarget,
  testBasis,
  testExercise,
  testOcclusion,
  testSession,
  testStrength,
  weighedLoad,
} from './plan.fixture';

/** A course that has come far: 60 % and 12.5 kg, by its reviews. */
const source: SessionChoice = {
  ...testSession(),
  exercises: [
    testExercise(
      { percentLop: 60, percentOneRepMax: 33 },
      { movements: [{ by: 'review', figure: 'percent-1rm', to: 40 }] },
    ),
    testExercise({ limb: 'right-thigh', percentLop: 60 }),
  ],
};

it('takes every figure of a copied course from the person it is for, and lists what could not be (CRS-1)', () => {
  const lop = testOcclusion({ pressure: { value: 150, unit: 'mmHg', working: [], rules: [] } });
  const test = testStrength({ oneRepMax: { value: 60, unit: 'kg', working: [], rules: [] } });
  // A newcomer with a left thigh only, whose LOP is 150 and whose 1RM is 60 kg.
  const basis = testBasis({ occlusions: [lop], strengthTests: [test], done: [] });
  const { session, notes } = deriveFor(source, basis);
  const plan = composeSession(session as SessionChoice, basis).plan;
  expect(plan.exercises).toHaveLength(1);
  // The start of the school, 40 % of 150; a quarter of 60 kg.
  expect([measuredTarget(plan).percentLop, measuredTarget(plan).pressure.value]).toEqual([40, 60]);
  expect(weighedLoad(plan).load.value).toBe(15);
  expect(session?.exercises[0]?.movements).toEqual([
    { by: 'ramp', figure: 'percent-lop', to: 60 },
    { by: 'review', figure: 'percent-1rm', to: 40 },
  ]);
  expect(englishOf(notes)).toEqual(['Knee extension: no pressure measured on the right thigh.']);
  expect(englishOf(deriveFor(source, testBasis({ occlusions: [] })))).toMatchObject({ session: null });
});
