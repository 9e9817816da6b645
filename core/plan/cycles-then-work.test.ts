import { expect, it } from 'vitest';
import { englishOf } from '#language/english-of.fixture';
import type { Limb } from '../quantity/limb';
import { type ExerciseChoice, setsOf } from './choices';
import { compile } from './compile';
import { composeCourse } from './compose-course';
import { cuffSteps, cuffStepWords } from './cuff-steps';
import { doseOf } from './dose';
import { testBasis, testCuff, testExercise, testOcclusion } from './plan.fixture';

const armCuff = {
  ...testCuff,
  id: 'cuff-a',
  label: 'Arm 9',
  limbKind: 'arm' as const,
  widthCm: 9,
  girthLowCm: 20,
  girthHighCm: 45,
};
const onArm = (limb: Limb) =>
  testOcclusion({ id: limb, limb, cuffId: 'cuff-a', cuffLabel: 'Arm 9', widthCm: 9, girthCm: 31 });
const basis = testBasis({
  cuffs: [testCuff, armCuff],
  occlusions: [
    testOcclusion({ id: 'left-thigh' }),
    testOcclusion({ id: 'right-thigh', limb: 'right-thigh' }),
    onArm('left-arm'),
    onArm('right-arm'),
  ],
});
const cycles = (exerciseId: string, limbs: readonly Limb[]): ExerciseChoice =>
  testExercise(
    { exerciseId, protocolId: 'cycles' },
    {
      load: { kind: 'unweighed', with: 'limb weight only' },
      sets: setsOf('cycles', 10_000, 60_000),
      limbs: limbs.map((limb) => ({ kind: 'measured', limb, occlusionId: limb, percentLop: 50 })),
    },
  );

it('takes cycles of the arms, cycles of the legs and then work as one plan, one pair of cuffs up at a time (PRO-2, PRS-9)', () => {
  const work = testExercise();
  const { findings, plan } = composeCourse(
    {
      goal: 'size',
      schoolId: 'research-consensus',
      exercises: [
        cycles('passive-cuff-arm', ['left-arm', 'right-arm']),
        cycles('passive-cuff-leg', ['left-thigh', 'right-thigh']),
        { ...work, limbs: work.limbs.map((worn) => ({ ...worn, occlusionId: 'left-thigh' })) },
      ],
    },
    basis,
  );
  expect(findings.filter(({ level }) => level !== 'note')).toEqual([]);
  expect(plan.exercises.map(({ mode }) => mode)).toEqual(['preparation', 'preparation', 'resistance']);
  expect(englishOf(cuffSteps(plan).map(cuffStepWords))).toEqual([
    'Both arms: cuffs on.',
    'Both arms: cuffs off. Both thighs: cuffs on.',
    'Right thigh: cuff off.',
  ]);
  expect(
    doseOf(compile(plan))
      .limbs.map(({ limb }) => limb)
      .sort(),
  ).toEqual(['left-arm', 'left-thigh', 'right-arm', 'right-thigh']);
});
