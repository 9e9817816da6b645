import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { englishOf } from '#language/english-of.fixture';
import { risingShares } from '../protocol/rising-shares';
import { type ExerciseChoice, setsOf } from './choices';
import { choicesOf, exerciseChoiceOf } from './choices-of';
import { compile } from './compile';
import { composeSession } from './compose';
import { testCycles } from './cycles.fixture';
import { draftSession } from './draft/draft-session';
import { testWish } from './draft/draft-wish.fixture';
import { measuredTarget, testBasis, testExercise, testOcclusion } from './plan.fixture';
import { plannedMmHg } from './planned-set';
import { isPlan } from './versions/plan-schema';

const LYING = [
  testOcclusion({ position: 'lying' }),
  testOcclusion({
    id: 'lop-right',
    limb: 'right-thigh',
    position: 'lying',
    pressure: { value: 151, unit: 'mmHg', working: [], rules: ['LOP-3'] },
    divisionMmHg: 5,
  }),
];
const basis = testBasis({ occlusions: LYING });

const cycles = (more: Partial<ExerciseChoice> = {}): ExerciseChoice =>
  testCycles({
    limbs: [
      { kind: 'measured', limb: 'left-thigh', occlusionId: 'lop', percentLop: 60 },
      { kind: 'measured', limb: 'right-thigh', occlusionId: 'lop-right', percentLop: 60 },
    ],
    ...more,
  });
const composed = (more: Partial<ExerciseChoice> = {}) =>
  composeSession({ goal: 'cycles', schoolId: 'research-consensus', exercises: [cycles(more)] }, basis);
const refusals = (more: Partial<ExerciseChoice>) =>
  composed(more).findings.filter(({ level }) => level !== 'note');

describe('cycles of the cuff (PRS-9)', () => {
  it('rise by share of each limb’s own target, on its own gauge, and end at it', () => {
    const { plan, findings } = composed();
    const [exercise] = plan.exercises;
    const pressures = (place: number) =>
      exercise?.sets.map((set) => plannedMmHg(measuredTarget(plan, 0, place), set));
    expect(pressures(0)).toEqual([62, 68, 72, 80, 86, 92, 96, 104]);
    expect(pressures(1)).toEqual([50, 55, 60, 65, 70, 80, 80, 90]);
    expect(findings.filter(({ level }) => level !== 'note')).toEqual([]);
    expect(isPlan(plan)).toBe(true);
    expect(choicesOf(plan).exercises[0]).toEqual(cycles());
  });

  it('are eight times half a minute with 10 s between, nothing settled', () => {
    const { lanes, sets, endMs } = compile(composed().plan);
    expect(lanes).toHaveLength(2);
    for (const { inflations } of lanes) {
      expect(inflations.map(({ fromMs, toMs }) => toMs - fromMs)).toEqual(Array(8).fill(30_000));
      expect(inflations.map(({ fromMs }) => fromMs)).toEqual(sets.map(({ fromMs }) => fromMs));
    }
    expect(endMs).toBe(8 * 30_000 + 7 * 10_000);
  });

  it('are never above what exercise may be done at, with a load, or under a strap', () => {
    const at = (percentLop: number) =>
      refusals({ limbs: [{ kind: 'measured', limb: 'left-thigh', occlusionId: 'lop', percentLop }] });
    expect(englishOf(at(81))).toMatchObject([{ rule: 'PRS-3', level: 'hard', fix: { to: 80 } }]);
    expect(englishOf(refusals({ exerciseId: 'knee-extension', load: testExercise().load }))).toContainEqual(
      expect.objectContaining({ rule: 'PRS-9', level: 'hard', subject: 'protocolId' }),
    );
    expect(englishOf(refusals({ sets: setsOf('standard-75', 30_000, 60_000) }))).toContainEqual(
      expect.objectContaining({ rule: 'PRS-9', level: 'hard', subject: 'sets' }),
    );
  });

  it('have the cuff down between them (PRS-9)', () => {
    const sets = setsOf('cycles', 10_000, 60_000);
    const changed = (part: object, at: number) =>
      sets.map((set, place) => (place === at ? { ...set, ...part } : set));
    const down = expect.objectContaining({ rule: 'PRS-9', level: 'hard', subject: 'release' });
    expect(englishOf(refusals({ sets }))).not.toContainEqual(down);
    expect(englishOf(refusals({ sets: changed({ release: false }, 3) }))).toContainEqual(down);
    expect(englishOf(refusals({ sets: changed({ restMs: 0 }, 0) }))).toContainEqual(down);
  });

  it('are drafted for a goal of their own, and no set of any draft is above its target', () => {
    const { session } = draftSession(
      testWish({ goal: 'cycles', limbs: ['left-thigh', 'right-thigh'], together: true }),
      basis,
    );
    expect(session?.exercises).toMatchObject([{ protocolId: 'cycles', primed: false }]);
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 10, max: 100 }), { minLength: 1, maxLength: 12 }), (shares) => {
        const [set] = setsOf('cycles', 10_000, 0);
        if (!set) throw new Error('Cycles have sets.');
        const { plan } = composed({ sets: shares.map((ofTarget) => ({ ...set, ofTarget })) });
        for (const place of [0, 1]) {
          const target = measuredTarget(plan, 0, place);
          for (const one of plan.exercises[0]?.sets ?? [])
            expect(plannedMmHg(target, one)).toBeLessThanOrEqual(target.pressure.value);
        }
      }),
    );
    expect(risingShares(1)).toEqual([100]);
  });
});

describe('priming that is not as usual (PRS-6)', () => {
  const priming = { start: { of: 'nothing' as const, mmHg: 40 }, stepMmHg: 30, onMs: 20_000, offMs: 5_000 };

  it('is kept with the plan and takes its own times', () => {
    const { plan } = composeSession(
      {
        goal: 'size',
        schoolId: 'research-consensus',
        exercises: [testExercise({}, { primed: true, priming })],
      },
      testBasis(),
    );
    expect(measuredTarget(plan).primingMmHg).toEqual([40, 70, 100, 104]);
    expect(compile(plan).lanes[0]?.inflations.slice(0, 2)).toMatchObject([
      { fromMs: 0, toMs: 20_000 },
      { fromMs: 25_000, toMs: 45_000 },
    ]);
    expect(plan.exercises.map(exerciseChoiceOf)).toMatchObject([{ primed: true, priming }]);
  });

  it('is refused with more than twelve cycles', () => {
    const slow = { ...priming, start: { of: 'nothing' as const, mmHg: 10 }, stepMmHg: 5 };
    const { findings } = composeSession(
      {
        goal: 'size',
        schoolId: 'research-consensus',
        exercises: [testExercise({}, { primed: true, priming: slow })],
      },
      testBasis(),
    );
    expect(englishOf(findings)).toContainEqual(
      expect.objectContaining({ rule: 'PRS-6', level: 'hard', exerciseIndex: 0 }),
    );
  });
});
