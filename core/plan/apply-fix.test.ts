import { describe, expect, it } from 'vitest';
import type { Finding, Fix } from '../findings/finding';
import { msg } from '../message/message';
import { applyFix, goByInForce } from './apply-fix';
import type { ExerciseChoice, SessionChoice } from './choices';
import { testBasis, testExercise, testOcclusion, testStrength } from './plan.fixture';

const finding = (fix: Fix | null, exerciseIndex?: number): Finding => ({
  rule: 'PRO-1',
  level: 'hard',
  subject: 'sets',
  message: msg('Wrong.'),
  remedy: msg('Correct it.'),
  ...(exerciseIndex === undefined ? {} : { exerciseIndex }),
  ...(fix ? { fix } : {}),
});
const bodyWeight = testExercise({}, { load: { kind: 'unweighed', with: 'body weight' } });
const session = (...exercises: ExerciseChoice[]): SessionChoice => ({
  goal: 'size',
  schoolId: 'research-consensus',
  exercises,
});
const two = session(testExercise(), testExercise({ exerciseId: 'leg-press' }));
const fixed = (fix: Fix, exerciseIndex?: number, of = two, basis = testBasis()) =>
  applyFix(of, finding(fix, exerciseIndex), basis).exercises;
const setsOf = (choice: ExerciseChoice | undefined) =>
  choice?.sets.map(({ release, restMs }) => [release, restMs]) ?? [];

describe('a remedy that is applied', () => {
  it('changes nothing where the finding has none', () => {
    expect(applyFix(two, finding(null), testBasis())).toBe(two);
  });

  it('changes the exercise it belongs to, or all where it belongs to none', () => {
    const percents = (exerciseIndex?: number) =>
      fixed({ set: 'percentLop', to: 40, as: 'most' }, exerciseIndex).map(
        ({ limbs: [limb] }) => limb?.kind === 'measured' && limb.percentLop,
      );
    expect([percents(1), percents(0), percents()]).toEqual([
      [60, 40],
      [40, 60],
      [40, 40],
    ]);
  });

  it('brings only the limbs to a share of LOP that are past it', () => {
    const [left] = testExercise({ percentLop: 60 }).limbs;
    const [right] = testExercise({ limb: 'right-thigh', percentLop: 30 }).limbs;
    const pair = session(testExercise({}, { limbs: [left, right].filter((limb) => limb !== undefined) }));
    const percents = (fix: Fix) =>
      fixed(fix, 0, pair)[0]?.limbs.map((limb) => limb.kind === 'measured' && limb.percentLop);
    expect(percents({ set: 'percentLop', to: 50, as: 'most' })).toEqual([50, 30]);
    expect(percents({ set: 'percentLop', to: 40, as: 'least' })).toEqual([60, 40]);
  });

  it('sets the share of 1RM and the weights of what is weighed, and leaves what is not', () => {
    expect(fixed({ set: 'percentOneRepMax', to: 20 }, 0)[0]?.load).toMatchObject({ percentOneRepMax: 20 });
    expect(fixed({ set: 'weightKitId', to: 'plates' }, 0)[0]?.load).toEqual({
      ...testExercise().load,
      weightKitId: 'plates',
    });
    for (const fix of [
      { set: 'percentOneRepMax', to: 20 },
      { set: 'weightKitId', to: 'plates' },
    ] as const)
      expect(fixed(fix, 0, session(bodyWeight))).toEqual([bodyWeight]);
  });

  it('sets rests between sets, never the one after the last', () => {
    const before = setsOf(testExercise());
    const rests = setsOf(fixed({ set: 'restMs', to: 45_000 }, 0)[0]);
    expect(rests.map(([, restMs]) => restMs)).toEqual([45_000, 45_000, 45_000, before[3]?.[1]]);
  });

  it('lets the cuff down in each rest for a minute and its lead, or once after the exercise', () => {
    const each = fixed(
      { set: 'release', to: 'each-rest' },
      0,
      session(testExercise({ protocolId: 'release-75' })),
    )[0];
    const last = setsOf(testExercise({ protocolId: 'release-75' })).at(-1);
    expect(setsOf(each)).toEqual([...Array.from({ length: 3 }, () => [true, 65_000]), last]);
    const held = testExercise(
      {},
      { sets: testExercise().sets.map((set) => ({ ...set, release: false, restMs: 30_000 })) },
    );
    const once = (restMs: number) => {
      const sets = held.sets.map((set, place) => (place === 3 ? { ...set, restMs } : set));
      return setsOf(fixed({ set: 'release', to: 'after-exercise' }, 0, session({ ...held, sets }))[0]);
    };
    expect(once(10_000)).toEqual([
      [false, 30_000],
      [false, 30_000],
      [false, 30_000],
      [true, 60_000],
    ]);
    expect(once(90_000).at(-1)).toEqual([true, 90_000]);
  });

  it('sets tempo and position', () => {
    expect(fixed({ set: 'tempoId', to: '3-0-3' }, 1).map(({ tempoId }) => tempoId)).toEqual([
      '1-0-1',
      '3-0-3',
    ]);
    expect(fixed({ set: 'position', to: 'lying' }, 1).map(({ position }) => position)).toEqual([
      'sitting',
      'lying',
    ]);
  });

  it('takes an exercise out, and orders compound before isolated', () => {
    const ids = (exercises: readonly ExerciseChoice[]) => exercises.map(({ exerciseId }) => exerciseId);
    expect(ids(fixed({ set: 'exercise', to: 'remove' }, 0))).toEqual(['leg-press']);
    expect(ids(fixed({ set: 'exercise', to: 'remove' }, 1))).toEqual(['knee-extension']);
    expect(applyFix(two, finding({ set: 'exercise', to: 'remove' }, 1), testBasis())).toMatchObject({
      goal: 'size',
      schoolId: 'research-consensus',
    });
    expect(ids(fixed({ set: 'order', to: 'compound-first' }))).toEqual(['leg-press', 'knee-extension']);
  });

  it('goes by the pressure and the test in force, of what is measured and weighed', () => {
    const basis = testBasis({
      occlusions: [testOcclusion(), testOcclusion({ id: 'newer', atMs: 5 })],
      strengthTests: [testStrength(), testStrength({ id: 'newer-test', atMs: 5 })],
    });
    const now = goByInForce(testExercise(), basis);
    expect(now.limbs).toMatchObject([{ limb: 'left-thigh', occlusionId: 'newer', percentLop: 60 }]);
    expect(now.load).toEqual({ ...testExercise().load, strengthTestId: 'newer-test' });
    expect(fixed({ set: 'inForce', to: 'pressure' }, 0, session(testExercise()), basis)).toEqual([now]);
    expect(goByInForce(bodyWeight, basis).load).toEqual(bodyWeight.load);
    // Nothing measured, nothing tested: it stays as it is.
    const nothing = testBasis({ occlusions: [], strengthTests: [] });
    expect(goByInForce(testExercise(), nothing)).toEqual(testExercise());
    const strapped = { kind: 'by-feel', limb: 'left-thigh', strapId: 's' } as const;
    expect(goByInForce(testExercise({}, { limbs: [strapped] }), basis).limbs).toEqual([strapped]);
  });
});
