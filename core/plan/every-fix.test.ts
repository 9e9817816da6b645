import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { attackRuns } from '../../tests/attack-runs';
import type { Cuff } from '../cuff/cuff';
import { type Finding, hardFindings } from '../findings/finding';
import { ladderRungSchema, rungSchema } from '../protocol/exercise';
import { EXERCISES, type Library } from '../protocol/exercises';
import { protocolIdSchema } from '../protocol/protocols';
import { schoolIdSchema } from '../protocol/schools';
import { tempoIdSchema } from '../protocol/tempo';
import { isEqual } from '../quantity/is-equal';
import { LIMBS, type Limb, limbKind, POSITIONS } from '../quantity/limb';
import { MS_PER_DAY } from '../quantity/units';
import { NO_LIMITS } from '../screening/clearance.fixture';
import { applyFix } from './apply-fix';
import type { Basis } from './basis';
import { type ExerciseChoice, type LimbChoice, type SessionChoice, setsOf } from './choices';
import { composeSession } from './compose';
import { offers } from './offers';
import { testBasis, testCuff, testExercise, testOcclusion, testStrength, trainedWeeks } from './plan.fixture';

// An offer leads somewhere better (architecture, idea 8): for any person and any session, a remedy that is applied takes away the
// finding it belongs to, and brings none of a higher level.

const LIBRARY: Library = EXERCISES;
const IDS = Object.keys(LIBRARY).filter((id) => !LIBRARY[id]?.inWater);
const ARM_CUFF: Cuff = { ...testCuff, id: 'cuff-a', limbKind: 'arm', girthLowCm: 25, girthHighCm: 45 };
const LOP_MMHG: Record<Limb, number> = {
  'left-thigh': 174,
  'right-thigh': 274,
  'left-arm': 131,
  'right-arm': 158,
};
const OCCLUSIONS = LIMBS.flatMap((limb) =>
  (['sitting', 'lying'] as const).map((position) =>
    testOcclusion({
      id: `${limb} ${position}`,
      limb,
      position,
      cuffId: limbKind(limb) === 'arm' ? ARM_CUFF.id : testCuff.id,
      girthCm: limbKind(limb) === 'arm' ? 34 : 54,
      pressure: {
        value: LOP_MMHG[limb] - (position === 'lying' ? 8 : 0),
        unit: 'mmHg',
        working: [],
        rules: [],
      },
    }),
  ),
);
const TESTS = IDS.flatMap((exerciseId) =>
  (['left', 'both'] as const).map((side) =>
    testStrength({
      id: `${exerciseId} ${side}`,
      exerciseId,
      side,
      oneRepMax: { value: 40, unit: 'kg', working: [], rules: [] },
    }),
  ),
);

const limits = fc.record({
  maxPercentLop: fc.option(fc.integer({ min: 10, max: 90 }), { freq: 2 }),
  capFrom: fc.constant('Dr Ash'),
  modes: fc.constant(null),
  highestRung: fc.option(fc.constantFrom(...rungSchema.options), { freq: 4 }),
  ranges: fc.constant([]),
  isCleared: fc.boolean().map((is) => is || true),
});

/** People of many kinds: limits limb by limb, operations, ladders, newcomers and others, with and without a clinician. */
const people: fc.Arbitrary<Basis> = fc
  .record({
    weeks: fc.constantFrom(0, 1, 3, 12),
    prescriber: fc.constantFrom('clinician' as const, 'coach' as const),
    limited: fc.subarray([...LIMBS]),
    limits,
    operated: fc.subarray([...LIMBS], { maxLength: 1 }),
    daysAgo: fc.integer({ min: 1, max: 80 }),
    rung: fc.constantFrom(...ladderRungSchema.options),
    dueLop: fc.boolean(),
    arbitraryUpToMmHg: fc.option(fc.integer({ min: 60, max: 160 })),
    hypertensive: fc.boolean(),
  })
  .map(
    ({
      weeks,
      prescriber,
      limited,
      limits: some,
      operated,
      daysAgo,
      rung,
      dueLop,
      arbitraryUpToMmHg,
      hypertensive,
    }) =>
      testBasis({
        occlusions: OCCLUSIONS,
        strengthTests: TESTS,
        cuffs: [testCuff, ARM_CUFF],
        done: trainedWeeks(weeks),
        prescriber,
        limits: { ...NO_LIMITS, ...Object.fromEntries(limited.map((limb) => [limb, some])) },
        procedures: operated.map((limb) => ({ limb, atMs: -daysAgo * MS_PER_DAY })),
        rungs: new Map(operated.map((limb) => [limb, rung])),
        due: dueLop ? new Map([['left-thigh sitting', 'Measured 99 days ago.']]) : new Map(),
        arbitraryUpToMmHg,
        oneLimbFirst: hypertensive ? ['arm', 'leg'] : [],
      }),
  );

const exercises: fc.Arbitrary<ExerciseChoice> = fc
  .record({
    exerciseId: fc.constantFrom(...IDS),
    position: fc.constantFrom(...POSITIONS),
    sides: fc.constantFrom('left', 'right', 'both'),
    percents: fc.tuple(fc.integer({ min: 10, max: 120 }), fc.integer({ min: 10, max: 120 })),
    arbitraryMmHg: fc.option(fc.integer({ min: 20, max: 220 }), { freq: 8 }),
    protocolId: fc.constantFrom(...protocolIdSchema.options),
    tempoId: fc.constantFrom(...tempoIdSchema.options),
    percentOneRepMax: fc.integer({ min: 5, max: 90 }),
    isWeighed: fc.boolean(),
    restMs: fc.integer({ min: 0, max: 200 }).map((seconds) => seconds * 1_000),
    primed: fc.boolean(),
  })
  .map(
    ({
      exerciseId,
      position,
      sides,
      percents,
      arbitraryMmHg,
      protocolId,
      tempoId,
      percentOneRepMax,
      isWeighed,
      restMs,
      primed,
    }) => {
      const kind = LIBRARY[exerciseId]?.limbKind === 'arm' ? 'arm' : 'thigh';
      const chosen = (sides === 'both' ? ['left', 'right'] : [sides]).map(
        (side) => `${side}-${kind}` as Limb,
      );
      const limbs = chosen.map(
        (limb, place): LimbChoice =>
          arbitraryMmHg === null
            ? {
                kind: 'measured',
                limb,
                occlusionId: `${limb} ${position === 'lying' ? 'lying' : 'sitting'}`,
                percentLop: percents[place] ?? 50,
              }
            : {
                kind: 'arbitrary',
                limb,
                cuffId: kind === 'arm' ? ARM_CUFF.id : testCuff.id,
                pressureMmHg: arbitraryMmHg,
              },
      );
      return {
        exerciseId,
        position,
        limbs,
        load: isWeighed
          ? {
              kind: 'weighed',
              strengthTestId: `${exerciseId} ${sides === 'both' ? 'both' : 'left'}`,
              weightKitId: 'stack',
              percentOneRepMax,
            }
          : { kind: 'unweighed', with: 'limb weight only' },
        protocolId,
        tempoId,
        sets: setsOf(protocolId, restMs, restMs),
        primed,
      };
    },
  );

const sessions: fc.Arbitrary<SessionChoice> = fc.record({
  goal: fc.constant('size' as const),
  schoolId: fc.constantFrom(...schoolIdSchema.options),
  exercises: fc.array(exercises, { minLength: 1, maxLength: 3 }),
});

const HEIGHT: Record<Finding['level'], number> = { note: 0, guard: 1, hard: 2 };

/** Findings above a level, by what they are of, each as often as it is there. */
function above(findings: readonly Finding[], level: Finding['level']): Map<string, number> {
  const counts = new Map<string, number>();
  for (const finding of findings) {
    if (HEIGHT[finding.level] <= HEIGHT[level]) continue;
    const of = `${finding.rule} ${finding.subject} ${finding.level}`;
    counts.set(of, (counts.get(of) ?? 0) + 1);
  }
  return counts;
}

describe('every remedy that is offered (idea 8)', () => {
  it('takes away its finding, and brings none of a higher level', () => {
    fc.assert(
      fc.property(people, sessions, (basis, session) => {
        const before = composeSession(session, basis).findings;
        for (const finding of offers(session, before, basis)) {
          const fixed = applyFix(session, finding, basis);
          if (fixed.exercises.length === 0) continue;
          const after = composeSession(fixed, basis).findings;
          const times = (findings: readonly Finding[]) =>
            findings.filter(({ message }) => isEqual(message, finding.message)).length;
          const said = `${JSON.stringify(finding)}\n${JSON.stringify(session)}`;
          expect(times(after), said).toBeLessThan(times(before));
          const had = above(before, finding.level);
          for (const [of, after_] of above(after, finding.level))
            expect(after_, `${of} came by ${said}`).toBeLessThanOrEqual(had.get(of) ?? 0);
        }
      }),
      { numRuns: attackRuns(200) },
    );
  });

  it('is one of every hard finding that has a remedy', () => {
    fc.assert(
      fc.property(people, sessions, (basis, session) => {
        const { findings } = composeSession(session, basis);
        const fixable = hardFindings(findings).filter(({ fix }) => fix);
        expect(offers(session, fixable, basis)).toEqual(fixable);
      }),
      { numRuns: attackRuns(200) },
    );
  });

  it('is said, and not offered, where it would keep the cuff up too long', () => {
    const long = testExercise({}, { sets: setsOf('standard-75', 20_000, 60_000) });
    const slow: ExerciseChoice = {
      ...long,
      tempoId: '1-5-1',
      sets: long.sets.map((set) => ({ ...set, restMs: 5_000 })),
    };
    const session: SessionChoice = { goal: 'size', schoolId: 'research-consensus', exercises: [slow] };
    const basis = testBasis();
    const { findings } = composeSession(session, basis);
    const rest = findings.filter(({ fix }) => fix?.set === 'restMs');
    expect(rest).toHaveLength(1);
    expect([
      findings.filter(({ rule }) => rule === 'PRO-1').length,
      offers(session, rest, basis).length,
    ]).toEqual([0, 0]);
  });
});
