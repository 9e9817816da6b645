import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { englishOf } from '#language/english-of.fixture';
import type { RungCheck } from '../course/ladder';
import { composeCourse } from '../plan/compose-course';
import { draftSession } from '../plan/draft/draft-session';
import { testWish } from '../plan/draft/draft-wish.fixture';
import { pastBounds } from '../plan/last-gate';
import { testOcclusion } from '../plan/plan.fixture';
import { onEveryRung, onRung } from '../plan/rungs';
import { type LadderRung, ladderRungSchema, type Rung, rungHeight } from '../protocol/exercise';
import { openedAt } from '../review/opened';
import { basisOf } from './basis';
import { blockAsItStands } from './block-in-force';
import { courseDays } from './course-days';
import { courseToday } from './course-in-force';
import type { ClientFacts, SessionFact } from './facts';
import { guardsThatStand, onTheirRungs } from './on-their-rungs';
import { boundsOfPlan, recheck } from './recheck';
import {
  daysAgo,
  NOW_MS,
  testBlock,
  testFacts,
  testKitInUse,
  testPrescription,
  testScreening,
  testSessionFact,
} from './record.fixture';

const limb = 'left-thigh';
const check = (rung: LadderRung, days: number): RungCheck => ({
  id: `${rung} ${days}`,
  limb,
  atMs: daysAgo(days),
  by: 'clara',
  answers: { pain: 1, swellingDown: true, rangeGood: true, clinicianAgrees: true, daysSinceSurgery: 20 },
  rung,
  reason: null,
});

/** Operated on 40 days ago, measured in three positions, on the ladder since 30 days. */
const operated = (changes: Partial<ClientFacts> = {}): ClientFacts =>
  testFacts({
    screenings: [
      testScreening({
        yes: ['recent-surgery'],
        procedures: [{ limb, atMs: daysAgo(40), what: 'tendon repair' }],
      }),
    ],
    occlusions: (['sitting', 'lying', 'standing'] as const).map((position) =>
      testOcclusion({ id: position, position, atMs: daysAgo(12) }),
    ),
    rungChecks: [check('isometric', 30)],
    sessions: [],
    ...changes,
  });

const draft = (facts: ClientFacts, rung: 'isometric' | 'passive' = 'isometric') => {
  const basis = basisOf(facts, testKitInUse, 'clinician', NOW_MS);
  const { session } = draftSession(testWish({ goal: 'rehab', rung, limbs: [limb] }), basis);
  if (!session) throw new RangeError('The draft has work.');
  return { session, basis };
};

/** Signed 30 days ago on the isometric rung. */
const signed = () => {
  const { session, basis } = draft(operated());
  const { plan, findings } = composeCourse(session, basis);
  return { plan, findings, prescription: testPrescription({ atMs: daysAgo(30), plan }) };
};

const SIGNED = signed();
const withCourse = (changes: Partial<ClientFacts> = {}): ClientFacts =>
  onTheirRungs(operated({ prescriptions: [SIGNED.prescription], ...changes }));
const today = (facts: ClientFacts) => {
  const [prescription] = facts.prescriptions;
  if (!prescription) throw new RangeError('A version is on record.');
  return { prescription, ...recheck(prescription, facts, testKitInUse, NOW_MS) };
};
const doneOn = (
  days: number,
  rung: NonNullable<SessionFact['rung']>,
  changes: Partial<SessionFact> = {},
): SessionFact => testSessionFact(days, { rung, ...changes });

describe('a plan on the rungs of a ladder (PRO-5, CRS-2)', () => {
  it('is drafted with the work of each rung, and signed with nothing found of any', () => {
    expect(SIGNED.plan.rungs).toMatchObject({ limb, rung: 'isometric', signedOn: 'isometric' });
    expect(SIGNED.plan.rungs?.others.map(({ rung }) => rung)).toEqual([
      'passive',
      'unloaded',
      'loaded',
      'functional',
    ]);
    const ids = SIGNED.plan.rungs?.others.at(-1)?.exercises.map(({ exerciseId }) => exerciseId);
    expect(ids).toEqual(['step-up-10', 'stairs-up', 'stairs-down', 'walking']);
    expect(SIGNED.findings.filter(({ level }) => level !== 'note')).toEqual([]);
    expect(englishOf(SIGNED.plan.exercises.map(({ label }) => label))).toContain('Quad set');
  });

  it('does the work of the rung that the limb is on: up by a check, down by itself', () => {
    const work = (facts: ClientFacts) => today(facts).plan?.exercises.map(({ exerciseId }) => exerciseId);
    const of = (rung: LadderRung) =>
      SIGNED.plan.rungs?.others.find((other) => other.rung === rung)?.exercises;
    expect(work(withCourse())).toEqual(SIGNED.plan.exercises.map(({ exerciseId }) => exerciseId));
    const up = withCourse({ rungChecks: [check('isometric', 30), check('unloaded', 4)] });
    expect(work(up)).toEqual(of('unloaded')?.map(({ exerciseId }) => exerciseId));
    // After an operation it is measured again before each session (rule LOP-6); nothing else is found.
    expect(today(up).findings.filter(({ level, rule }) => level !== 'note' && rule !== 'LOP-6')).toEqual([]);
    const down = withCourse({
      rungChecks: [check('isometric', 30)],
      sessions: [doneOn(2, 'isometric', { tolerated: false, stepsDown: [limb] })],
    });
    expect(work(down)).toEqual(of('passive')?.map(({ exerciseId }) => exerciseId));
  });

  it('is the same whichever way it is put on a rung, and nothing is lost on the way', () => {
    const ids = (facts: ClientFacts) =>
      facts.prescriptions.flatMap(({ plan }) => onEveryRung(plan).map(({ exerciseId }) => exerciseId)).sort();
    fc.assert(
      fc.property(fc.array(fc.constantFrom(...ladderRungSchema.options), { maxLength: 5 }), (rungs) => {
        const rungChecks = rungs.map((rung, place) => check(rung, 20 - place));
        let step = withCourse();
        for (let many = 1; many <= rungChecks.length; many += 1)
          step = onTheirRungs({ ...step, rungChecks: rungChecks.slice(0, many) });
        const atOnce = withCourse(rungs.length > 0 ? { rungChecks } : {});
        expect(step.prescriptions).toEqual(atOnce.prescriptions);
        expect(ids(step)).toEqual(ids(withCourse()));
        const [version] = step.prescriptions;
        const stood = rungs.at(-1) ?? 'isometric';
        expect(rungHeight(version?.plan.rungs?.rung ?? 'done')).toBeLessThanOrEqual(rungHeight(stood));
      }),
    );
  });

  it('is as a clinician signed it above the limb’s rung, until that changes', () => {
    const { plan } = SIGNED;
    const before = { ...SIGNED.prescription, atMs: daysAgo(10) };
    const on = (rungChecks: RungCheck[], sessions: SessionFact[] = []) =>
      onTheirRungs(operated({ prescriptions: [before], rungChecks, sessions })).prescriptions[0]?.plan.rungs
        ?.rung;
    expect(plan.rungs?.signedOn).toBe('isometric');
    expect(on([check('passive', 30)])).toBe('isometric');
    expect(on([])).toBe('isometric');
    expect(on([check('passive', 30), check('unloaded', 5)])).toBe('unloaded');
    const worse = doneOn(3, 'isometric', { tolerated: false, stepsDown: [limb] });
    expect(on([check('isometric', 30)], [worse])).toBe('passive');
  });

  it('stays under the limb’s rung where the plan names no work for it', () => {
    const { rungs } = SIGNED.plan;
    if (!rungs) throw new RangeError('It has rungs.');
    const others = rungs.others.filter(({ rung }) => rung !== 'loaded');
    const plan = { ...SIGNED.plan, rungs: { ...rungs, others } };
    const facts = onTheirRungs(
      operated({
        prescriptions: [testPrescription({ plan, atMs: daysAgo(10) })],
        rungChecks: [check('loaded', 3)],
      }),
    );
    expect(facts.prescriptions[0]?.plan.rungs?.rung).toBe('unloaded');
  });

  it('goes on on a rung from where that was left, and learns nothing from the figures of another', () => {
    const unloaded = onTheirRungs(
      operated({ prescriptions: [SIGNED.prescription], rungChecks: [check('unloaded', 9)] }),
    );
    const [version] = unloaded.prescriptions;
    if (!version) throw new RangeError('A version is on record.');
    const opened = openedAt(version.plan).map((one) => ({ ...one, reading: null, answer: null }));
    const facts = { ...unloaded, sessions: [doneOn(3, 'isometric', { exercises: opened })] };
    const { day } = courseToday(version, facts, testKitInUse, NOW_MS);
    expect(day.moves).toEqual([]);
    expect(day.session.exercises).toEqual(
      courseToday(version, unloaded, testKitInUse, NOW_MS).day.session.exercises,
    );
  });

  it('freezes one rung, which the last gate lets through, and no other rung’s work', () => {
    const up = withCourse({ rungChecks: [check('isometric', 30), check('loaded', 4)] });
    const { prescription, plan } = today(up);
    if (!plan) throw new RangeError('It composes.');
    expect(plan.rungs).toMatchObject({ rung: 'loaded', others: [] });
    const basis = basisOf(up, testKitInUse, 'clinician', NOW_MS);
    expect(pastBounds(boundsOfPlan(prescription.plan, basis), plan)).toEqual([]);
    expect(pastBounds(boundsOfPlan(SIGNED.plan, basis), plan)).not.toEqual([]);
  });

  it('keeps a guard that was passed for an exercise on the rung it was passed on', () => {
    const guards = [
      { rule: 'PRS-3' as const, subject: 'percentLop', exerciseIndex: 0 },
      { rule: 'SCR-1' as const, subject: 'screening', exerciseIndex: null },
    ];
    const on = (rung: LadderRung) =>
      onTheirRungs(
        operated({
          prescriptions: [{ ...SIGNED.prescription, guards }],
          rungChecks: [check(rung, 4)],
        }),
      ).prescriptions.flatMap(guardsThatStand);
    expect(on('isometric')).toEqual(guards);
    expect(on('unloaded')).toEqual(guards.slice(1));
    expect(on('passive')).toEqual(guards.slice(1));
  });

  it('is refused where a rung asks for more than may be signed, with the way to leave it out', () => {
    const { session, basis } = draft(operated());
    const { rungs } = session;
    if (!rungs) throw new RangeError('It has rungs.');
    const others = rungs.others.map((other) => ({
      ...other,
      exercises:
        other.rung === 'functional'
          ? other.exercises.map((choice) => ({
              ...choice,
              limbs: choice.limbs.map((worn) => ({ ...worn, percentLop: 120 })),
            }))
          : other.exercises,
    }));
    const { findings } = composeCourse({ ...session, rungs: { ...rungs, others } }, basis);
    const [found] = findings.filter(({ subject }) => subject === 'rungs');
    expect(found).toMatchObject({ level: 'hard', fix: { set: 'rung', to: 'leave-out', rung: 'functional' } });
    expect(englishOf(found?.message)).toContain('On the rung functional: ');
  });
});

it('says of a missed day the work of the rung that the limb was on then (CRS-2)', () => {
  const facts = withCourse({
    blocks: [testBlock(21, {}, [-20, -4, 3])],
    rungChecks: [check('isometric', 30), check('unloaded', 10), check('passive', 2)],
  });
  const standing = blockAsItStands(facts, NOW_MS);
  if (!standing) throw new RangeError('A block is on record.');
  const days = courseDays(standing, facts, testKitInUse, NOW_MS);
  const setsOn = (rung: Rung) =>
    onRung(SIGNED.plan, rung).exercises.reduce((sum, { sets }) => sum + sets.length, 0);
  expect(days.map(({ state, sets }) => [state, sets])).toEqual([
    ['missed', setsOn('isometric')],
    ['missed', setsOn('unloaded')],
    ['to-come', setsOn('passive')],
  ]);
});
