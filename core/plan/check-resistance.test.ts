import { describe, expect, it } from 'vitest';
import { inEnglish } from '#language/render';
import { msg } from '../message/message';
import type { Basis } from './basis';
import type { ExerciseChoice } from './choices';
import { composeSession } from './compose';
import { type TestChoices, testBasis, testExercise, testSession, testStrength } from './plan.fixture';

/** Findings of some rules on what resists, as rule, level, field, words and change. */
const found = (
  rules: readonly string[],
  changes: TestChoices = {},
  more: Partial<ExerciseChoice> = {},
  basis: Partial<Basis> = {},
) =>
  composeSession({ ...testSession(), exercises: [testExercise(changes, more)] }, testBasis(basis))
    .findings.filter(({ rule, subject }) => rules.includes(rule) && /strengthTest|weightKit/.test(subject))
    .map(({ rule, level, subject, message, remedy, fix, hardWhenRun }) =>
      [
        `${rule} ${level} ${subject}: ${inEnglish(message)} ${inEnglish(remedy)}`,
        ...(fix ? [JSON.stringify(fix)] : []),
        ...(hardWhenRun ? ['hard when run'] : []),
      ].join(' '),
    );
const ALL = ['LOAD-1', 'LOAD-2', 'LOAD-3', 'LOAD-4', 'START-2'];
const both: ExerciseChoice['limbs'] = (['left-thigh', 'right-thigh'] as const).map((limb) => ({
  kind: 'measured',
  limb,
  occlusionId: limb === 'right-thigh' ? 'lop-right' : 'lop',
  percentLop: 60,
}));
const tests = (...facts: Parameters<typeof testStrength>[0][]) => ({
  strengthTests: facts.map(testStrength),
});

describe('the test a load goes by', () => {
  it('is of the exercise itself and of the side that lifts', () => {
    expect(found(ALL)).toEqual([]);
    expect(found(ALL, { exerciseId: 'leg-press' })).toContainEqual(
      expect.stringMatching(
        /^LOAD-1 hard strengthTestId: The test is of another exercise than .*\. Test the one prescribed\.$/,
      ),
    );
    expect(found(ALL, { limb: 'right-thigh' })).toEqual([
      'LOAD-3 note strengthTestId: The 1RM is from the left side. Test this side.',
    ]);
    const procedures = [{ limb: 'right-thigh' as const, atMs: 0 }];
    expect(found(ALL, { limb: 'right-thigh' }, {}, { procedures })).toEqual([
      'LOAD-2 note strengthTestId: The 1RM is from the left side. Test this side once it may be tested.',
    ]);
  });

  it('is never one side’s for two, and half of both for one', () => {
    expect(found(ALL, {}, { limbs: both })).toEqual([
      'LOAD-3 hard strengthTestId: The 1RM is of the left side alone, and both limbs lift together. Test both together, or do one limb after the other.',
    ]);
    expect(found(ALL, {}, { limbs: both }, tests({ side: 'both' }))).toEqual([]);
    expect(found(ALL, {}, {}, tests({ side: 'both' }))).toEqual([
      'LOAD-3 note strengthTestId: The 1RM is half of that of both sides together: 20 kg. Test this side by itself.',
    ]);
    const operated = { ...tests({ side: 'both' }), procedures: [{ limb: 'left-thigh' as const, atMs: 0 }] };
    expect(found(ALL, {}, {}, operated)).toEqual([
      'LOAD-3 hard strengthTestId: Half of the 1RM of both sides is not for a limb that was operated on: it gave less than its half. Test the other side, which stands in with a mark.',
    ]);
  });

  it('is the one in force', () => {
    const newer = {
      id: 'newer',
      atMs: 1,
      oneRepMax: { value: 44, unit: 'kg' as const, working: [], rules: [] },
    };
    expect(found(ALL, {}, {}, tests({}, newer))).toEqual([
      'START-2 hard strengthTestId: A 1RM of 40 kg is not in force any more; 44 kg is. Go by the test in force. {"set":"inForce","to":"test"}',
    ]);
    expect(found(ALL, {}, {}, tests({}, { ...newer, atMs: -1 }))).toEqual([]);
  });

  it('holds for its weeks, and does not open after them', () => {
    expect(found(ALL, {}, {}, { due: new Map([['test', msg('9 weeks old')]]) })).toEqual([
      'LOAD-2 note strengthTestId: The strength test is 9 weeks old; it holds 6 weeks. Test again before it is run. hard when run',
    ]);
    expect(found(ALL, {}, {}, { due: new Map([['another', msg('9 weeks old')]]) })).toEqual([]);
  });
});

describe('the weights it is made of (LOAD-4)', () => {
  it('suit the exercise', () => {
    const dumbbells = { kind: 'single-masses' as const, id: 'stack', label: 'Dumbbells', massesKg: [5, 10] };
    expect(found(['LOAD-4'], {}, {}, { weightKits: [dumbbells] })).toEqual([
      'LOAD-4 guard weightKitId: Dumbbells does not suit Knee extension, which is loaded by stack. Choose weights that suit it, or another exercise.',
    ]);
  });

  it('are there to be weighed, unless nothing can be', () => {
    const band = { load: { kind: 'unweighed' as const, with: 'a band' } };
    const words = (remedy: string) =>
      `LOAD-4 note weightKitId: Knee extension has weights, and this goes without kilograms: a band. ${remedy}`;
    expect(found(['LOAD-4'], {}, band)).toEqual([words('Load it by its 1RM.')]);
    expect(found(['LOAD-4'], {}, band, tests({ exerciseId: 'leg-press' }))).toEqual([
      words('Test it, and load it by its 1RM.'),
    ]);
    expect(found(['LOAD-4'], { exerciseId: 'bodyweight-box-squat' }, band)).toEqual([]);
  });
});
