import { describe, expect, it } from 'vitest';
import { englishOf } from '#language/english-of.fixture';
import { composeSession } from '../plan/compose';
import {
  measuredTarget,
  testBasis,
  testOcclusion,
  testPlan,
  testSession,
  testStrength,
} from '../plan/plan.fixture';
import { ALL, session } from '../review/review.fixture';
import type { DayCheck } from '../screening/day-check';
import type { ClientFacts } from './facts';
import {
  answeredInForce,
  cuffInForce,
  dayCheckInForce,
  daySignsAsked,
  isPlaceOfSurgeryUnknown,
  needsBloodPressure,
  proceduresInForce,
  restingPressureInForce,
  shelfLifeInForce,
} from './in-force';
import { measuredAgain, recheck } from './recheck';
import {
  daysAgo,
  NOW_MS,
  screenedAs,
  strangerFacts,
  testFacts,
  testKitInUse,
  testPrescription,
  testScreening,
  testSessionFact,
} from './record.fixture';
import { reviewSession } from './session-review';

const lop = (value: number, changes: Parameters<typeof testOcclusion>[0] = {}) =>
  testOcclusion({
    id: 'again',
    atMs: daysAgo(0.5),
    pressure: { value, unit: 'mmHg', working: [], rules: [] },
    ...changes,
  });
const first = testFacts().occlusions;
const again = (changes: Partial<ClientFacts> = {}, signed = testPrescription()) =>
  recheck(signed, testFacts(changes), testKitInUse, NOW_MS);
const said = (...asked: Parameters<typeof again>) =>
  again(...asked).findings.map(({ rule, level, subject }) => `${rule} ${level} ${subject}`);

describe('a signed plan, looked at again (START-1, PRS-8)', () => {
  it('opens as it was signed while nothing has changed', () => {
    const { plan, findings, retargetable } = again();
    expect(englishOf([findings, retargetable])).toEqual([[], false]);
    expect(plan && measuredTarget(plan).pressure.value).toBe(104);
  });

  it('goes by the pressure in force: shut, and one key away, where that makes another target', () => {
    const superseded = again({ occlusions: [...first, lop(210)] });
    expect(superseded.retargetable).toBe(true);
    expect(superseded.plan && measuredTarget(superseded.plan).pressure.value).toBe(126);
    expect(englishOf(superseded.findings)).toMatchObject([
      {
        rule: 'PRS-8',
        level: 'hard',
        exerciseIndex: 0,
        message: 'Knee extension, left thigh: its LOP was 174 and is 210: 104 would become 126 mmHg.',
      },
    ]);
  });

  it('cannot be re-targeted where something else is hard as well', () => {
    const also = { occlusions: [...first, lop(210)], strengthTests: [testStrength({ atMs: daysAgo(50) })] };
    expect(again(also).retargetable).toBe(false);
    expect(said(also)).toEqual(['PRS-8 hard percentLop', 'LOAD-2 hard strengthTestId']);
  });

  it('holds a pressure and a test that are due, which could be signed as notes', () => {
    expect(said({ occlusions: [testOcclusion({ atMs: daysAgo(29) })] })).toEqual(['LOP-6 hard percentLop']);
    expect(said({ strengthTests: [testStrength({ atMs: daysAgo(43) })] })).toEqual([
      'LOAD-2 hard strengthTestId',
    ]);
  });

  it('is shut where the test or its load is another, and where what it rests on is gone', () => {
    const heavier = testStrength({ oneRepMax: { value: 60, unit: 'kg', working: [], rules: [] }, atMs: 1 });
    const changed = again({ strengthTests: [{ ...heavier, atMs: daysAgo(1) }] });
    expect(englishOf(changed.findings)).toMatchObject([
      {
        rule: 'START-1',
        level: 'hard',
        message: 'Knee extension: signed at 10 kg, and the kit and the test now make 15 kg.',
      },
    ]);
    expect(changed.retargetable).toBe(false);
    expect(englishOf(again({ strengthTests: [] }))).toMatchObject({
      plan: null,
      retargetable: false,
      findings: [{ rule: 'START-1', level: 'hard' }],
    });
  });

  it('asks for a guard that is new, and not for one that was passed', () => {
    const today = testSessionFact(0.5);
    const often = { sessions: [today, ...testFacts().sessions] };
    expect(said(often)).toEqual(['PRO-3 guard howOften']);
    const guard = { rule: 'PRO-3', subject: 'howOften', exerciseIndex: null } as const;
    expect(said(often, testPrescription({ guards: [guard] }))).toEqual([]);
    const other = { ...guard, exerciseIndex: 1 };
    expect(said(often, testPrescription({ guards: [other] }))).toEqual(['PRO-3 guard howOften']);
  });

  it('follows a strap’s mark (TIGHT)', () => {
    const felt = (mark: number) => ({
      limb: 'left-thigh' as const,
      atMs: daysAgo(1),
      strapId: 'strap',
      strapLabel: 'Marked strap',
      mark,
      felt: 7,
    });
    const byFeel = testSession();
    const { plan } = composeSession(
      {
        ...byFeel,
        exercises: byFeel.exercises.map((one) => ({
          ...one,
          limbs: [{ kind: 'by-feel', limb: 'left-thigh', strapId: 'strap' } as const],
        })),
      },
      testBasis({ occlusions: [], tightness: [felt(6)] }),
    );
    const moved = (mark: number) =>
      again({ occlusions: [], tightness: [felt(mark)] }, testPrescription({ plan })).findings.filter(
        ({ rule }) => rule === 'PRS-8',
      );
    expect(moved(6)).toEqual([]);
    expect(moved(7)).toHaveLength(1);
    expect(englishOf(moved(7)[0]?.message)).toBe(
      'Knee extension, left thigh: signed at mark 6, now felt right at mark 7.',
    );
  });
});

describe('what a measurement in force says of the one that was signed on (PRS-8)', () => {
  const signed = measuredTarget(testPlan().plan);
  const now = (value: number, changes: Partial<typeof signed> = {}) => ({
    ...signed,
    occlusionId: 'again',
    occlusion: { ...signed.occlusion, value },
    ...changes,
  });

  it('confirms within both uncertainties with the same pressure, follows, and asks where it is much higher', () => {
    // 60 % of 174 is 104 at a division of 2, of 176 as well (105.6), of 177 it is 106. √(5² + 12²) = 13.
    expect(measuredAgain(signed, now(176))).toBe('confirms');
    expect(measuredAgain(signed, now(177))).toBe('follows');
    expect(measuredAgain(signed, now(187, { uncertaintyMmHg: 12 }))).toBe('follows');
    expect(measuredAgain(signed, now(187.5, { uncertaintyMmHg: 12 }))).toBe('asks');
    // 15 % of 174 is 26.1, however uncertain.
    expect(measuredAgain(signed, now(200, { uncertaintyMmHg: 60 }))).toBe('follows');
    expect(measuredAgain(signed, now(200.5, { uncertaintyMmHg: 60 }))).toBe('asks');
    // Lower is followed however far.
    expect(measuredAgain(signed, now(90))).toBe('follows');
    // The same measurement confirms itself, whatever today's share.
    expect(measuredAgain(signed, { ...signed, percentLop: 45 })).toBe('confirms');
  });

  it('is followed without a key: the session says from what to what', () => {
    const lower = again({ occlusions: [...first, lop(150)] });
    expect(lower.retargetable).toBe(false);
    expect(lower.plan && measuredTarget(lower.plan).pressure.value).toBe(90);
    expect(englishOf(lower.findings)).toMatchObject([
      { rule: 'PRS-8', level: 'note', message: 'Knee extension, left thigh: LOP 174 → 150: 104 → 90 mmHg.' },
    ]);
  });
});

describe('what is asked on the day (SCR-3)', () => {
  it('has a question of its own after an operation, and not without', () => {
    const afterSurgery = testFacts({
      screenings: [
        testScreening({
          yes: ['recent-surgery'],
          procedures: [{ limb: 'left-thigh', atMs: daysAgo(20), what: 'repair' }],
        }),
      ],
    });
    const usual = daySignsAsked(testFacts(), NOW_MS);
    expect(usual).toContain('fever');
    expect(usual).not.toContain('joint');
    expect(daySignsAsked(afterSurgery, NOW_MS)).toEqual(expect.arrayContaining([...usual, 'joint']));
  });
});

describe('what is in force (START-2)', () => {
  const surgery = (changes: object = {}) =>
    testScreening({ atMs: daysAgo(3), yes: ['recent-surgery'], ...changes });
  const repair = (days: number) => ({ limb: 'left-thigh' as const, atMs: daysAgo(days), what: 'repair' });

  it('counts an operation for 84 days on its own limb; one without its limb is asked, not assumed', () => {
    const limbs = (...screenings: ReturnType<typeof testScreening>[]) =>
      proceduresInForce(screenedAs(...screenings), NOW_MS).map(({ limb }) => limb);
    expect(limbs(surgery({ procedures: [repair(84), { ...repair(85), limb: 'right-arm' }] }))).toEqual([
      'left-thigh',
    ]);
    expect(limbs(surgery())).toEqual([]);
    expect(isPlaceOfSurgeryUnknown(screenedAs(surgery()), NOW_MS)).toBe(true);
    expect(isPlaceOfSurgeryUnknown(screenedAs(surgery({ procedures: [repair(3)] })), NOW_MS)).toBe(false);
    const back = { ...repair(3), limb: 'no-limb' as const };
    expect(limbs(surgery({ procedures: [back] }))).toEqual([]);
    expect(answeredInForce(screenedAs(surgery({ procedures: [back] })), NOW_MS).yes).toEqual([
      'recent-surgery',
    ]);
    expect(limbs(testScreening({ procedures: [repair(3)] }))).toEqual([]);
    expect(limbs()).toEqual([]);
  });

  it('keeps what a person has whatever a later screening says, until its term or a clinician ends it', () => {
    const first = surgery({
      yes: ['recent-surgery', 'anticoagulants', 'nerve-injury', 'long-travel', 'under-18'],
      procedures: [repair(40)],
      places: [{ item: 'nerve-injury', limbs: ['left-thigh'] }],
      adultFromMs: daysAgo(-10),
      atMs: daysAgo(30),
    });
    const later = testScreening({
      atMs: daysAgo(2),
      yes: ['nerve-injury'],
      places: [{ item: 'nerve-injury', limbs: ['right-thigh'] }],
    });
    const facts = screenedAs(first, later);
    const onDay = (days: number) => answeredInForce(facts, daysAgo(days));
    expect(onDay(25).yes).toContain('long-travel');
    expect(onDay(0)).toEqual({
      yes: ['anticoagulants', 'nerve-injury', 'recent-surgery', 'under-18'],
      places: [
        { item: 'nerve-injury', limbs: ['left-thigh', 'right-thigh'] },
        { item: 'recent-surgery', limbs: ['left-thigh'] },
      ],
      bloodPressures: [],
    });
    expect(onDay(-10).yes).toContain('under-18');
    expect(onDay(-11).yes).not.toContain('under-18');
    expect(onDay(-44).yes).toContain('recent-surgery');
    expect(onDay(-45).yes).toEqual(['anticoagulants', 'nerve-injury']);
    const ended = facts.conditions.map((condition) =>
      condition.detail.kind === 'item' && condition.detail.item === 'anticoagulants'
        ? { ...condition, ended: { atMs: daysAgo(1), by: 'clara', reason: 'Stopped in May' } }
        : condition,
    );
    expect(answeredInForce({ conditions: ended }, NOW_MS).yes).not.toContain('anticoagulants');
  });

  it('keeps a resting pressure that is not usual, though a later one is', () => {
    const high = { systolicMmHg: 150, diastolicMmHg: 92 };
    const facts = screenedAs(
      testScreening({ atMs: daysAgo(9), bloodPressures: [high, high] }),
      testScreening({ atMs: daysAgo(2) }),
    );
    expect(answeredInForce(facts, NOW_MS).bloodPressures).toEqual([high]);
    expect(needsBloodPressure({ ...facts, clearances: [] }, NOW_MS)).toBe(true);
  });

  it('keeps a pressure for one session on the operated limb, else as set for it, else as for the person', () => {
    const facts = {
      ...screenedAs(surgery({ procedures: [repair(3)] })),
      shelfLife: '8-weeks',
      limbShelfLives: [{ limb: 'right-thigh', shelfLife: '7-days' }],
    } as const;
    const kept = (limb: 'left-thigh' | 'right-thigh' | 'left-arm') =>
      shelfLifeInForce({ ...facts, limbShelfLives: [...facts.limbShelfLives] }, limb, NOW_MS);
    expect([kept('left-thigh'), kept('right-thigh'), kept('left-arm')]).toEqual([
      'every-session',
      '7-days',
      '8-weeks',
    ]);
  });

  it('takes a check of the last twelve hours, and the cuff worn last', () => {
    const check = (hours: number) => ({
      atMs: NOW_MS - hours * 3_600_000,
      notWell: [],
      painNow: 1,
      bloodPressure: null,
    });
    expect(dayCheckInForce({ dayChecks: [check(11.9)] }, NOW_MS)).toBeDefined();
    expect(dayCheckInForce({ dayChecks: [check(12)] }, NOW_MS)).toBeUndefined();
    expect(dayCheckInForce({ dayChecks: [] }, NOW_MS)).toBeUndefined();
    expect(dayCheckInForce({ dayChecks: [check(-1)] }, NOW_MS)).toBeUndefined();
    const [cuff] = testFacts().fits;
    if (!cuff) throw new Error('The test person wears a cuff.');
    const strap = {
      kind: 'strap',
      limb: 'left-thigh',
      atMs: daysAgo(1),
      girthCm: 54,
      widthCm: 5,
      label: 'Strap',
      strapId: 's',
    } as const;
    expect(cuffInForce({ fits: [cuff] }, 'left-thigh')?.kind).toBe('cuff');
    expect(cuffInForce({ fits: [cuff, strap] }, 'left-thigh')).toBeUndefined();
    expect(cuffInForce({ fits: [cuff] }, 'right-thigh')).toBeUndefined();
  });

  it('takes of several checks on one day the worst answers, from the last by a clinician on (SCR-3)', () => {
    const check = (hours: number, painNow: number, changes: Partial<DayCheck> = {}): DayCheck => ({
      atMs: NOW_MS - hours * 3_600_000,
      notWell: [],
      painNow,
      bloodPressure: null,
      ...changes,
    });
    const high = { systolicMmHg: 150, diastolicMmHg: 90 };
    const usual = { systolicMmHg: 120, diastolicMmHg: 80 };
    const asked = [
      check(3, 8, { notWell: ['sleep'], bloodPressure: high }),
      check(13, 9),
      check(1, 0, { bloodPressure: usual, by: 'assistant' }),
    ];
    expect(dayCheckInForce({ dayChecks: asked }, NOW_MS)).toEqual({
      atMs: NOW_MS - 3_600_000,
      notWell: ['sleep'],
      painNow: 8,
      bloodPressure: usual,
    });
    const decided = [...asked, check(0.5, 2, { by: 'clinician' })];
    expect(dayCheckInForce({ dayChecks: decided }, NOW_MS)).toMatchObject({
      notWell: [],
      painNow: 2,
      bloodPressure: usual,
    });
    expect(dayCheckInForce({ dayChecks: [...decided, check(0.1, 5)] }, NOW_MS)?.painNow).toBe(5);
  });

  it('asks for a blood pressure of hypertension, treated or not, and where a clearance says so', () => {
    const needed = (screening: object, clearances: ClientFacts['clearances'] = []) =>
      needsBloodPressure({ ...screenedAs(testScreening(screening)), clearances }, NOW_MS);
    const high = { systolicMmHg: 142, diastolicMmHg: 80 };
    const clearance = {
      subjects: ['blood-pressure' as const],
      givenBy: 'Dr Test',
      byPhysician: true,
      givenAtMs: daysAgo(2),
      untilMs: null,
      maxPercentLop: 60,
      limbs: [],
      modes: [],
      highestRung: null,
      ranges: [],
      note: '',
    };
    expect(needed({})).toBe(false);
    expect(needed({ bloodPressures: [] })).toBe(false);
    expect(needed({ bloodPressures: [high, high] })).toBe(true);
    expect(needed({ yes: ['hypertension-treated'] })).toBe(true);
    expect(needed({}, [clearance])).toBe(true);
    expect(needed({}, [{ ...clearance, subjects: ['hypertension-treated'] }])).toBe(true);
    expect(needed({}, [{ ...clearance, subjects: ['diabetes'] }])).toBe(false);
    expect(needed({}, [{ ...clearance, untilMs: daysAgo(1) }])).toBe(false);
    expect(needsBloodPressure({ conditions: [], clearances: [clearance] }, NOW_MS)).toBe(true);
  });

  it('takes the newest resting pressure of the last 84 days, the mean of its readings', () => {
    const reading = (systolicMmHg: number) => ({ systolicMmHg, diastolicMmHg: 80 });
    const at = (days: number, ...bloodPressures: ReturnType<typeof reading>[]) =>
      testScreening({ atMs: daysAgo(days), bloodPressures });
    const resting = (...screenings: ReturnType<typeof at>[]) =>
      restingPressureInForce({ screenings }, NOW_MS)?.systolicMmHg;
    expect(resting(at(84, reading(120), reading(124)))).toBe(122);
    expect(resting(at(84.01, reading(120)))).toBeUndefined();
    expect(resting(at(20, reading(120)), at(3))).toBe(120);
    expect(resting(at(20, reading(120)), at(3, reading(130)))).toBe(130);
    expect(restingPressureInForce(strangerFacts, NOW_MS)).toBeUndefined();
  });
});

describe('the review of a session on record (REV-10)', () => {
  const reviewed = (changes: Partial<ClientFacts> = {}, { effort = 5, pain = 1, painBefore = 1 } = {}) =>
    reviewSession(
      {
        ...session(ALL, { effort, pain, choices: { percentLop: 50 } }),
        painBefore,
        before: null,
      },
      testFacts(changes),
      testKitInUse.weightKits,
      NOW_MS,
    )[0];
  it('goes by the cap and the ramp that bind the next session, and the pain before this one', () => {
    expect(reviewed()?.change).toEqual({ pressurePoints: 5 });
    // One session ever: the ramp is at its start, under what was held.
    expect(englishOf(reviewed({ sessions: [testSessionFact(1)] }))).toMatchObject({
      rule: 'REV-7',
      change: {},
    });
    expect(reviewed({}, { pain: 4, painBefore: 4 })?.rule).toBe('REV-7');
    expect(reviewed({}, { pain: 4, painBefore: 1 })?.rule).toBe('REV-2');
  });

  it('says nothing of what was not begun', () => {
    const none = reviewSession(
      { ...session([]), painBefore: null, before: null },
      testFacts(),
      testKitInUse.weightKits,
      NOW_MS,
    );
    expect(englishOf(none)).toEqual([undefined]);
  });
});
