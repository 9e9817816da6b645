import { describe, expect, it } from 'vitest';
import { englishOf } from '#language/english-of.fixture';
import { inEnglish } from '#language/render';
import { mirror, mirrorName } from './mirror';
import { testBasis, testExercise, testOcclusion, testSession, testStrength } from './plan.fixture';

const session = { ...testSession(), exercises: [testExercise({ percentLop: 60 })] };
const right = testOcclusion({ id: 'lop-right', limb: 'right-thigh' });

describe('the same work on the other side', () => {
  it('goes by that side’s own pressure and test, and says what is not measured (LOP-4, LOAD-2)', () => {
    const basis = testBasis({
      occlusions: [testOcclusion(), right],
      strengthTests: [testStrength(), testStrength({ id: 'test-right', side: 'right' })],
    });
    expect(mirror(session, basis).session?.exercises).toMatchObject([
      {
        limbs: [{ limb: 'right-thigh', occlusionId: 'lop-right', percentLop: 60 }],
        load: { strengthTestId: 'test-right', percentOneRepMax: 25 },
      },
    ]);
    const unmeasured = mirror(session, testBasis({ occlusions: [testOcclusion()] }));
    expect(unmeasured.session).toBeNull();
    expect(unmeasured.notes.map(inEnglish).join(' ')).toContain('no pressure measured on the right thigh');
  });

  it('leaves work of both limbs as it is', () => {
    const basis = testBasis({ occlusions: [testOcclusion(), right] });
    const [exercise] = session.exercises;
    if (!exercise) throw new Error('the fixture has an exercise');
    const both = [
      ...exercise.limbs,
      { kind: 'measured' as const, limb: 'right-thigh' as const, occlusionId: 'lop-right', percentLop: 50 },
    ];
    const made = mirror({ ...session, exercises: [{ ...exercise, limbs: both }] }, basis);
    expect(made.session?.exercises[0]?.limbs.map(({ limb }) => limb)).toEqual(['left-thigh', 'right-thigh']);
  });

  it('is called after the other side', () => {
    expect(englishOf(mirrorName('Left thigh, passive', ['left-thigh']))).toBe('Right thigh, passive');
    expect(englishOf(mirrorName('Curls on the right', ['right-arm']))).toBe('Curls on the left');
    expect(englishOf(mirrorName('Lower day', ['left-thigh']))).toBe('Lower day, right thigh');
    expect(englishOf(mirrorName('Nothing', []))).toBe('Nothing');
  });
});
