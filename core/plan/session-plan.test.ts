import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { englishOf } from '#language/english-of.fixture';
import { inEnglish } from '#language/render';
import { guardFindings, hardFindings } from '../findings/finding';
import type { Limb } from '../quantity/limb';
import { applyFix } from './apply-fix';
import { type ExerciseChoice, type SessionChoice, sessionChoiceSchema, setsOf } from './choices';
import { compile } from './compile';
import { composeSession } from './compose';
import { doseOf } from './dose';
import {
  measuredTarget,
  testBasis,
  testCuff,
  testExercise,
  testOcclusion,
  testStrength,
} from './plan.fixture';

const S = 1000;
const basis = testBasis({
  strengthTests: [testStrength(), testStrength({ id: 'press', exerciseId: 'leg-press', side: 'both' })],
});
const session = (...exercises: ExerciseChoice[]): SessionChoice => ({
  goal: 'size',
  schoolId: 'research-consensus',
  exercises,
});
const compose = (...exercises: ExerciseChoice[]) => composeSession(session(...exercises), basis);
const spans = (plan: ReturnType<typeof compose>['plan'], limb: Limb) =>
  compile(plan)
    .lanes.find((lane) => lane.limb === limb)
    ?.inflations.map(({ fromMs, toMs }) => [fromMs / S, toMs / S]);
const press = testExercise(
  { exerciseId: 'leg-press' },
  { load: { kind: 'weighed', strengthTestId: 'press', weightKitId: 'stack', percentOneRepMax: 25 } },
);
const pair = [
  { kind: 'measured', limb: 'left-thigh', occlusionId: 'lop', percentLop: 60 },
  { kind: 'measured', limb: 'right-thigh', occlusionId: 'lop-right', percentLop: 60 },
] as const;

describe('a set of nothing', () => {
  it('is refused, with what to enter', () => {
    const empty = { work: { kind: 'reps', reps: 0 }, restMs: 0, release: true } as const;
    const { error } = sessionChoiceSchema.safeParse(session({ ...press, sets: [empty] }));
    expect(error?.issues).toMatchObject([
      {
        path: ['exercises', 0, 'sets', 0, 'work', 'reps'],
        message: expect.stringContaining('at least one repetition'),
      },
    ]);
  });
});

describe('a session of several exercises', () => {
  it('lets the cuff down 60 s between exercises and settles again, as worked by hand', () => {
    const { plan, findings } = compose(press, testExercise());
    // 20 s settling + 240 s of sets and rests = 260 s; 60 s down; the same again.
    expect(spans(plan, 'left-thigh')).toEqual([
      [0, 260],
      [320, 580],
    ]);
    expect(doseOf(compile(plan))).toMatchObject({ reps: 150, volumeKgReps: 1125, occludedMs: 520 * S });
    expect(hardFindings(findings)).toEqual([]);
  });

  it('shares one inflation in a superset, and counts it as one stretch', () => {
    const stay = press.sets.map((set, i) => (i === 3 ? { ...set, release: false, restMs: 30_000 } : set));
    const { plan, findings } = compose({ ...press, sets: stay }, testExercise());
    expect(spans(plan, 'left-thigh')).toEqual([[0, 20 + 240 + 30 + 240]]);
    expect(hardFindings(findings)).toEqual([]);
    const other = compose({ ...press, sets: stay }, testExercise({ percentLop: 50 }));
    expect(englishOf(hardFindings(other.findings))).toMatchObject([{ rule: 'PRO-1', subject: 'release' }]);
  });

  it('occludes two thighs at once, or one after the other with the other in free flow', () => {
    const together = compose({ ...press, limbs: [...pair] });
    expect(spans(together.plan, 'right-thigh')).toEqual([[0, 260]]);
    expect(doseOf(compile(together.plan)).occludedMs).toBe(260 * S);
    const alternates = compose(press, testExercise({ limb: 'right-thigh', exerciseId: 'knee-extension' }));
    expect(spans(alternates.plan, 'left-thigh')).toEqual([[0, 260]]);
    expect(spans(alternates.plan, 'right-thigh')).toEqual([[320, 580]]);
  });

  it('primes from 60 % of the target in cycles of 30 s on and 10 s off (PRS-6)', () => {
    const { plan } = compose({ ...testExercise(), primed: true });
    expect(measuredTarget(plan).primingMmHg).toEqual([62, 82, 102, 104]);
    expect(spans(plan, 'left-thigh')).toEqual([
      [0, 30],
      [40, 70],
      [80, 110],
      [120, 150],
      [160, 160 + 260],
    ]);
  });

  it('cycles passively at up to 100 %, lying or sitting, without exercise (PRS-3)', () => {
    const cycle = (changes: Partial<ExerciseChoice>, percentLop = 90) =>
      composeSession(
        session({
          ...testExercise(
            { exerciseId: 'passive-cuff-leg', protocolId: 'passive-recovery', percentLop, position: 'lying' },
            { load: { kind: 'unweighed', with: 'limb weight only' } },
          ),
          sets: setsOf('passive-recovery', 60_000, 60_000),
          ...changes,
        }),
        testBasis({ occlusions: [testOcclusion({ position: 'lying' })] }),
      );
    const { plan, findings } = cycle({});
    expect(findings).toEqual([]);
    expect(spans(plan, 'left-thigh')).toEqual([
      [0, 320],
      [380, 680],
      [740, 1040],
    ]);
    expect(englishOf(hardFindings(cycle({}, 101).findings))).toMatchObject([
      { rule: 'PRS-3', subject: 'percentLop' },
    ]);
    expect(englishOf(hardFindings(cycle({ position: 'standing' }).findings))).toMatchObject([
      { subject: 'position' },
    ]);
    // The same share with an exercise is refused twice over.
    const worked = cycle({ exerciseId: 'quad-set' });
    expect(hardFindings(worked.findings).map(({ subject }) => subject)).toEqual(['percentLop', 'protocolId']);
  });

  it('is not prescribed passive or post-operative by a coach (SCR-4)', () => {
    const coach = testBasis({ prescriber: 'coach', procedures: [{ limb: 'left-thigh', atMs: -1 }] });
    const { findings } = composeSession(session(testExercise()), coach);
    expect(englishOf(hardFindings(findings))).toMatchObject([{ rule: 'SCR-4' }]);
  });

  it('puts a compound exercise after isolated work right with one remedy', () => {
    const wrong = session(testExercise(), press);
    const finding = composeSession(wrong, basis).findings.find(({ subject }) => subject === 'order');
    expect(englishOf(finding)).toMatchObject({ level: 'note', exerciseIndex: 1 });
    if (!finding) return;
    const fixed = applyFix(wrong, finding, basis);
    expect(fixed.exercises.map(({ exerciseId }) => exerciseId)).toEqual(['leg-press', 'knee-extension']);
  });
});

describe('remedies', () => {
  const set = fc.record({
    work: fc.oneof(
      fc.record({ kind: fc.constant('reps' as const), reps: fc.integer({ min: 1, max: 60 }) }),
      fc.record({ kind: fc.constant('to-failure' as const), pacedTo: fc.integer({ min: 1, max: 60 }) }),
      fc.record({ kind: fc.constant('timed' as const), workMs: fc.integer({ min: 10_000, max: 120_000 }) }),
    ),
    restMs: fc.integer({ min: 0, max: 200 }).map((s) => s * S),
    release: fc.boolean(),
  });
  const choice = fc.record({
    percentLop: fc.integer({ min: 20, max: 110 }),
    percentOneRepMax: fc.integer({ min: 5, max: 90 }),
    position: fc.constantFrom('lying', 'sitting', 'standing'),
    exerciseId: fc.constantFrom('leg-press', 'knee-extension'),
    tempoId: fc.constantFrom('1-0-1', '2-0-2', '3-0-3'),
  } as const);
  const any = fc
    .array(fc.tuple(choice, fc.array(set, { minLength: 1, maxLength: 5 })), { minLength: 1, maxLength: 4 })
    .map((list) =>
      session(
        ...list.map(([flat, sets]) => {
          const base = flat.exerciseId === 'leg-press' ? press : testExercise();
          const load = { ...base.load, percentOneRepMax: flat.percentOneRepMax };
          return { ...testExercise(flat), sets, load } as ExerciseChoice;
        }),
      ),
    );

  it('take away the finding they belong to, one at a time', () => {
    fc.assert(
      fc.property(any, (start) => {
        const [finding] = composeSession(start, basis).findings.filter(
          ({ fix }) => fix && fix.set !== 'exercise' && fix.set !== 'order' && fix.set !== 'release',
        );
        if (!finding) return;
        const after = composeSession(applyFix(start, finding, basis), basis).findings;
        const same = after.filter(
          ({ rule, subject, level, exerciseIndex }) =>
            rule === finding.rule &&
            subject === finding.subject &&
            level === finding.level &&
            exerciseIndex === finding.exerciseIndex,
        );
        expect(same).toEqual([]);
      }),
    );
  });

  it('lead, applied over and over, to a session without a hard finding', () => {
    fc.assert(
      fc.property(any, (start) => {
        let now = start;
        for (let round = 0; round < 60; round += 1) {
          const [finding] = hardFindings(composeSession(now, basis).findings);
          if (!finding?.fix) break;
          const next = applyFix(now, finding, basis);
          if (next === now || next.exercises.length === 0) break;
          now = next;
        }
        for (const finding of hardFindings(composeSession(now, basis).findings)) {
          // What is left has no single remedy: sets of a length that no release can correct.
          expect(finding.rule).toBe('PRO-1');
        }
        expect(sessionChoiceSchema.safeParse(now).success).toBe(true);
      }),
      { numRuns: 60 },
    );
  });

  it('give guards and hard findings a place to be shown beside', () => {
    fc.assert(
      fc.property(any, (start) => {
        const { findings } = composeSession(start, basis);
        for (const { subject, message, remedy } of [...guardFindings(findings), ...hardFindings(findings)]) {
          expect(subject).not.toBe('');
          expect(inEnglish(message).endsWith('.') && inEnglish(remedy).endsWith('.')).toBe(true);
        }
      }),
      { numRuns: 40 },
    );
  });
});

describe('legs and then arms in one session (PRO-2)', () => {
  it('has one pair of cuffs down before the other goes up', () => {
    const armCuff = { ...testCuff, id: 'cuff-a', limbKind: 'arm' as const, girthLowCm: 25, girthHighCm: 60 };
    const arm = (id: string, limb: 'left-arm' | 'right-arm') =>
      testOcclusion({ id, limb, cuffId: 'cuff-a', girthCm: 32 });
    const basis = testBasis({
      cuffs: [testCuff, armCuff],
      occlusions: [
        testOcclusion(),
        testOcclusion({ id: 'right', limb: 'right-thigh' }),
        arm('la', 'left-arm'),
        arm('ra', 'right-arm'),
      ],
    });
    const pair = (...limbs: [Limb, string][]) => ({
      load: { kind: 'unweighed' as const, with: 'a band' },
      limbs: limbs.map(([limb, occlusionId]) => ({
        kind: 'measured' as const,
        limb,
        occlusionId,
        percentLop: 40,
      })),
    });
    const { plan, findings } = composeSession(
      {
        goal: 'size',
        schoolId: 'research-consensus',
        exercises: [
          testExercise({ exerciseId: 'leg-press' }, pair(['left-thigh', 'lop'], ['right-thigh', 'right'])),
          testExercise({ exerciseId: 'band-curl' }, pair(['left-arm', 'la'], ['right-arm', 'ra'])),
        ],
      },
      basis,
    );
    expect(findings.filter(({ rule, level }) => rule === 'PRO-2' || level === 'hard')).toEqual([]);
    const spans = compile(plan).lanes.map(({ limb, inflations }) => [
      limb,
      inflations[0]?.fromMs,
      inflations[0]?.toMs,
    ]);
    const [left, right, leftArm, rightArm] = spans;
    expect([left?.[2], right?.[2]]).toEqual([left?.[2], left?.[2]]);
    expect(leftArm?.[1]).toBeGreaterThan(Number(left?.[2]));
    expect(rightArm?.[1]).toBe(leftArm?.[1]);
  });
});
