import { describe, expect, it } from 'vitest';
import { englishOf } from '#language/english-of.fixture';
import type { Role } from '../access/permissions';
import { testPlan } from '../plan/plan.fixture';
import { planChanges } from '../plan/plan-changes';
import { type ReviewAsks, whatReviewAsks } from './binding-review';
import type { ClientFacts, SessionFact } from './facts';
import {
  NOW_MS,
  testCoursePlan,
  testFacts,
  testKitInUse,
  testPrescription,
  testSessionFact,
} from './record.fixture';

const asks = (
  last: Partial<SessionFact>,
  changes: Partial<ClientFacts> = {},
  { role = 'clinician' as Role, prescribed = testPrescription() } = {},
): ReviewAsks | null => {
  const facts = testFacts(changes);
  const sessions = changes.sessions ?? [
    testSessionFact(2, last),
    ...facts.sessions.filter(({ id }) => id !== 'session 2'),
  ];
  return whatReviewAsks(prescribed, { ...facts, sessions }, testKitInUse, role, NOW_MS);
};
const version = (result: ReviewAsks | null) => (result?.kind === 'version' ? result : null);

describe('a binding review (REV-10)', () => {
  it('wants an answer before its plan is run again, and nothing once that holds', () => {
    expect(englishOf(asks({ reviewed: false }))).toMatchObject({
      kind: 'answer',
      session: { id: 'session 2' },
    });
    expect(asks({ reviewed: true })).toBeNull();
    expect(asks({ reviewed: true, answered: [{}] })).toBeNull();
    // A session that is open is not over yet.
    expect(asks({ reviewed: false, finishedAtMs: null })).toBeNull();
  });

  it('speaks of the last session of this plan only, whichever version that stood on the same signature', () => {
    const arms = [testCoursePlan(), testCoursePlan({ id: 'arms' })];
    expect(asks({ reviewed: false, coursePlanId: 'arms' }, { coursePlans: arms })).toBeNull();
    // Signing another version is no answer; once there is one, it changes what it spoke of and nothing later.
    const earlier = { prescriptionId: 'signed before' };
    expect(englishOf(asks({ ...earlier, reviewed: false }))).toMatchObject({ kind: 'answer' });
    expect(asks({ ...earlier, answered: [{ pressurePoints: -10 }] })).toBeNull();
    const prescribed = testPrescription({ versions: ['rx', 'before it was re-targeted'] });
    const before = { answered: [{ pressurePoints: -10 }], prescriptionId: 'before it was re-targeted' };
    expect(englishOf(asks(before, {}, { prescribed }))).toMatchObject({ kind: 'version' });
    const older = [testSessionFact(2), testSessionFact(5, { reviewed: false })];
    expect(asks({}, { sessions: older })).toBeNull();
  });

  it('is not passed by under another name: a plan that has ended and did the same is asked for too', () => {
    const sessions = [testSessionFact(2, { coursePlanId: 'ended', reviewed: false })];
    expect(englishOf(asks({}, { sessions }))).toMatchObject({
      kind: 'answer',
      session: { coursePlanId: 'ended' },
    });
    const other = {
      worked: [{ exerciseId: 'leg-press', limbs: ['left-thigh' as const], mode: 'resistance' as const }],
    };
    expect(
      asks({}, { sessions: [testSessionFact(2, { coursePlanId: 'ended', reviewed: false, ...other })] }),
    ).toBeNull();
    // Answered, it is no version of this plan.
    const answered = testSessionFact(2, {
      coursePlanId: 'ended',
      prescriptionId: 'of the ended one',
      answered: [{ pressurePoints: -10 }],
    });
    expect(asks({}, { sessions: [answered] })).toBeNull();
  });

  it('makes the next version of what was answered: less pressure, less load, longer rest', () => {
    // 60 % of 174 is 104 at a division of 2; 50 % is 87, floored to 86. 10 kg is 25 % of 40; a step down is 7.5.
    const lower = version(asks({ answered: [{ pressurePoints: -10 }] }));
    expect(englishOf(lower?.changes)).toEqual(['Knee extension: pressure 60 → 50 % of LOP, 104 → 86 mmHg.']);
    expect(lower?.against).toEqual([]);
    const lighter = version(asks({ answered: [{ loadSteps: -1, restMs: 45_000 }] }));
    expect(englishOf(lighter?.changes)).toEqual(['Knee extension: load 10 kg → 7.5 kg, rest 30 s → 45 s.']);
    expect(lighter?.plan?.exercises[0]?.sets.map(({ restMs }) => restMs).slice(0, 3)).toEqual([
      45_000, 45_000, 45_000,
    ]);
  });

  it('is nothing to sign where it comes to the same figures', () => {
    expect(asks({ answered: [{ heavyBridge: true }] })).toBeNull();
    expect(asks({ answered: [{ restMs: 30_000 }] })).toBeNull();
  });

  it('says what keeps a version from being kept at once: a role, or a guard that was not passed', () => {
    const operated = {
      screenings: testFacts().screenings.map((screening) => ({
        ...screening,
        yes: ['recent-surgery' as const],
        procedures: [{ limb: 'left-thigh' as const, atMs: NOW_MS - 30 * 86_400_000, what: 'tendon repair' }],
      })),
    };
    const byCoach = version(asks({ answered: [{ loadSteps: -1 }] }, operated, { role: 'coach' }));
    expect(byCoach?.against.map(({ rule }) => rule)).toContain('SCR-4');
    const byClinician = version(asks({ answered: [{ loadSteps: -1 }] }, operated));
    expect(byClinician?.against.map(({ rule }) => rule)).not.toContain('SCR-4');
  });

  it('is drafted by hand where what it rests on is gone', () => {
    const gone = version(asks({ answered: [{ pressurePoints: -10 }] }, { occlusions: [] }));
    expect(englishOf(gone)).toMatchObject({
      plan: null,
      changes: [],
      against: [{ rule: 'REV-10', level: 'hard' }],
    });
  });
});

describe('what a version changes, in words', () => {
  const { plan } = testPlan();
  const [exercise] = plan.exercises;
  if (!exercise) throw new Error('the fixture has an exercise');

  it('names exercises that were added, left out or replaced', () => {
    const other = { ...exercise, exerciseId: 'leg-press', label: 'Leg press' };
    expect(planChanges(plan, plan)).toEqual([]);
    expect(englishOf(planChanges(plan, { ...plan, exercises: [exercise, other] }))).toEqual([
      'Leg press: added.',
    ]);
    expect(englishOf(planChanges({ ...plan, exercises: [exercise, other] }, plan))).toEqual([
      'Leg press: left out.',
    ]);
    expect(englishOf(planChanges(plan, { ...plan, exercises: [other] }))).toEqual([
      'Leg press in the place of Knee extension.',
    ]);
  });

  it('names the limb where there are two, and marks where the pressure is not known', () => {
    const [target] = exercise.limbs;
    if (!target) throw new Error('the fixture has a limb');
    const pair = {
      ...exercise,
      limbs: [target, { ...target, limb: 'right-thigh' as const, percentLop: 50 }],
    };
    expect(englishOf(planChanges(plan, { ...plan, exercises: [pair] }))).toEqual([
      'Knee extension: right thigh added.',
    ]);
    const more = {
      ...pair,
      limbs: pair.limbs.map((limb) => (limb.limb === 'right-thigh' ? { ...limb, percentLop: 55 } : limb)),
    };
    expect(englishOf(planChanges({ ...plan, exercises: [pair] }, { ...plan, exercises: [more] }))).toEqual([
      'Knee extension: right thigh pressure 50 → 55 % of LOP.',
    ]);
    const strapped = (mark: number) => ({
      ...exercise,
      limbs: [
        { kind: 'by-feel' as const, limb: target.limb, strapId: 's', strapLabel: 'Strap', mark, felt: 7 },
      ],
    });
    expect(
      englishOf(planChanges({ ...plan, exercises: [strapped(6)] }, { ...plan, exercises: [strapped(5)] })),
    ).toEqual(['Knee extension: at mark 6 → mark 5.']);
  });

  it('names sets that were cut', () => {
    const fewer = { ...exercise, sets: exercise.sets.slice(0, 3) };
    expect(englishOf(planChanges(plan, { ...plan, exercises: [fewer] }))).toEqual([
      'Knee extension: 4 sets → 3 sets.',
    ]);
  });
});
