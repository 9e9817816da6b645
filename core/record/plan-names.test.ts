import { expect, it } from 'vitest';
import { englishOf } from '#language/english-of.fixture';
import { testPlan } from '../plan/plan.fixture';
import { namedAsTheyAre } from './plan-names';
import { testCoursePlan, testFacts, testPrescription } from './record.fixture';

const passive = testPlan();
const cuffCycles = {
  ...passive.plan,
  exercises: passive.plan.exercises.map((exercise) => ({ ...exercise, mode: 'passive' as const })),
};
const names = (ownName: string | null, plan = passive.plan) =>
  englishOf(
    namedAsTheyAre(
      testFacts({
        coursePlans: [testCoursePlan({ name: ownName ?? 'Left thigh, passive', ownName })],
        prescriptions: [testPrescription({ plan })],
      }),
    ).coursePlans.map(({ name }) => name),
  );

it('calls a plan after what it trains now, until it is given a name', () => {
  expect(names(null, cuffCycles)).toEqual(['Left thigh, passive']);
  expect(names(null)).toEqual(['Left thigh']);
  expect(names('Lower day', cuffCycles)).toEqual(['Lower day']);
});

it('says what plans are for where two that have not ended train the same', () => {
  const relief = { ...passive.plan, goal: 'pain-relief' as const };
  const calledWhile = (state: 'in-force' | 'ended') =>
    englishOf(
      namedAsTheyAre(
        testFacts({
          coursePlans: [
            testCoursePlan({ id: 'one', ownName: null }),
            testCoursePlan({ id: 'two', ownName: null, state }),
            testCoursePlan({ id: 'three', name: 'Lower day', ownName: 'Lower day' }),
          ],
          prescriptions: [
            testPrescription({ id: 'a', coursePlanId: 'one' }),
            testPrescription({ id: 'b', coursePlanId: 'two', plan: relief }),
          ],
        }),
      ).coursePlans.map(({ name }) => name),
    );
  expect(calledWhile('in-force')).toEqual(['Left thigh: Size', 'Left thigh: Pain relief', 'Lower day']);
  expect(calledWhile('ended')).toEqual(['Left thigh', 'Left thigh', 'Lower day']);
});
