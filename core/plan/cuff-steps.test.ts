import { expect, it } from 'vitest';
import { englishOf } from '#language/english-of.fixture';
import type { Limb } from '../quantity/limb';
import { cuffSteps, cuffStepWords } from './cuff-steps';
import { testPlan } from './plan.fixture';

const [exercise] = testPlan().plan.exercises;
const [target] = exercise?.limbs ?? [];
const plan = (...limbs: Limb[][]) => ({
  exercises: limbs.map((all) => ({
    ...(exercise as NonNullable<typeof exercise>),
    limbs: all.map((limb) => ({ ...(target as NonNullable<typeof target>), limb })),
  })),
});
const said = (...limbs: Limb[][]) => englishOf(cuffSteps(plan(...limbs)).map(cuffStepWords));

it('legs and then arms: cuffs of one pair come off before the other pair goes on (PRO-2)', () => {
  expect(
    said(
      ['left-thigh', 'right-thigh'],
      ['left-thigh', 'right-thigh'],
      ['left-arm', 'right-arm'],
      ['left-arm'],
    ),
  ).toEqual([
    'Both thighs: cuffs on.',
    null,
    'Both thighs: cuffs off. Both arms: cuffs on.',
    'Right arm: cuff off.',
  ]);
});

it('a cuff that comes back later stays on, and one that does not comes off', () => {
  expect(said(['left-thigh'], ['right-thigh'], ['left-thigh'])).toEqual([
    'Left thigh: cuff on.',
    'Right thigh: cuff on.',
    'Right thigh: cuff off.',
  ]);
});
