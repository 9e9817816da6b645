import { describe, expect, it } from 'vitest';
import { englishOf } from '#language/english-of.fixture';
import { inEnglish } from '#language/render';
import type { RungCheck } from '../course/ladder';
import type { ExerciseChoice } from '../plan/choices';
import { composeSession } from '../plan/compose';
import { testExercise, testKit, testPlan, testSession, testStrength } from '../plan/plan.fixture';
import type { LadderRung } from '../protocol/exercise';
import type { Limb } from '../quantity/limb';
import { openedAt } from '../review/opened';
import { readingsOf } from '../review/review';
import { foldAll, logOf, WHOLE_SESSION } from '../session/session.fixture';
import { basisOf } from './basis';
import type { ClientFacts } from './facts';
import {
  adviseRung,
  checkRungEntry,
  criteriaOnRecord,
  daysSinceProcedure,
  rungInForce,
} from './ladder-in-force';
import { daysAgo, NOW_MS, testFacts, testKitInUse, testScreening, testSessionFact } from './record.fixture';

const limb = 'left-thigh';
const answers = { pain: 1, swellingDown: true, rangeGood: true, clinicianAgrees: true };
const check = (rung: LadderRung, days: number, changes: Partial<RungCheck> = {}): RungCheck => ({
  id: `${rung} ${days}`,
  limb,
  atMs: daysAgo(days),
  by: 'clara',
  answers: { ...answers, daysSinceSurgery: 20 },
  rung,
  reason: null,
  ...changes,
});
/** Operated on the left thigh 30 days ago. */
const operated = (changes: Partial<ClientFacts> = {}) =>
  testFacts({
    screenings: [
      testScreening({
        yes: ['recent-surgery'],
        procedures: [{ limb, atMs: daysAgo(30), what: 'tendon repair' }],
      }),
    ],
    sessions: [],
    ...changes,
  });
const advice = (rungChecks: RungCheck[], changes: Partial<ClientFacts> = {}) => {
  const { move, to, why } = adviseRung(operated({ rungChecks, ...changes }), limb, NOW_MS);
  return [move, to, why];
};

describe('the ladder of a limb (PRO-5)', () => {
  it('is where the limb was last checked, each limb for itself', () => {
    const rungChecks = [
      check('isometric', 9),
      check('unloaded', 2),
      check('functional', 1, { limb: 'right-thigh' }),
    ];
    expect(rungInForce(operated({ rungChecks }), limb)?.rung).toBe('unloaded');
    expect(rungInForce(operated({ rungChecks }), 'left-arm')).toBeUndefined();
    expect(daysSinceProcedure(operated(), limb, NOW_MS)).toBe(30);
    expect(daysSinceProcedure(operated(), 'right-thigh', NOW_MS)).toBeNull();
  });

  it('begins where nothing is on record, and ends with the last rung', () => {
    expect(englishOf(advice([]))).toEqual([
      'begin',
      'passive',
      'No rung is on record: answer what is asked.',
    ]);
    expect(englishOf(advice([check('done', 3)])[0])).toBe('done');
  });

  it('goes up after two tolerated sessions on the rung, and says what to ask first', () => {
    const two = { sessions: [testSessionFact(2), testSessionFact(5), testSessionFact(12)] };
    expect(englishOf(advice([check('unloaded', 9)], two))).toEqual([
      'up',
      'loaded',
      '2 sessions tolerated on this rung.',
    ]);
    expect(englishOf(advice([check('unloaded', 3)], two))).toEqual([
      'stay',
      'unloaded',
      '1 of 2 sessions tolerated on this rung.',
    ]);
    const unsure = check('unloaded', 9, { answers: { ...answers, rangeGood: false, daysSinceSurgery: 20 } });
    expect(englishOf(advice([unsure], two)[2])).toContain('Ask first: range of the exercise without a lag.');
    expect(englishOf(advice([check('functional', 9)], two))).toEqual([
      'up',
      'done',
      'Tolerated: heavy work without the cuff, with a retest of the 1RM and the sides compared.',
    ]);
    const other = [2, 5].map((days) =>
      testSessionFact(days, {
        worked: [{ exerciseId: 'knee-extension', limbs: ['right-thigh'], mode: 'resistance' }],
      }),
    );
    expect(englishOf(advice([check('unloaded', 9)], { sessions: other })[0])).toBe('stay');
  });

  it('asks for as many sessions of a rung as the practice does', () => {
    const three = [testSessionFact(2), testSessionFact(4), testSessionFact(6)];
    const asked = (many: number) =>
      advice([check('unloaded', 9)], { sessions: three, rungSessions: { unloaded: many, loaded: 9 } });
    expect(englishOf(asked(3)[0])).toBe('up');
    expect(
      englishOf(
        asked(4)
          .slice(0, 1)
          .concat(asked(4)[2] ?? []),
      ),
    ).toEqual(['stay', '3 of 4 sessions tolerated on this rung.']);
    const facts = operated({
      rungChecks: [check('unloaded', 9)],
      sessions: three,
      rungSessions: { unloaded: 4 },
    });
    const [found] = checkRungEntry(facts, { limb, rung: 'loaded', answers }, NOW_MS);
    expect(englishOf(found?.message)).toContain('4 tolerated sessions on the rung below');
  });

  it('takes pain and swelling from today’s check and the last session of the limb, and asks for 3 or less there', () => {
    const { plan } = testPlan();
    const [opened] = openedAt(plan);
    const [reading] = readingsOf({ plan, state: foldAll(plan, logOf(WHOLE_SESSION)) });
    if (!opened || !reading) throw new RangeError('A whole session has a reading.');
    const withPain = (mostPain: number, days: number) =>
      testSessionFact(days, {
        exercises: [{ ...opened, reading: { ...reading, mostPain }, answer: null }],
      });
    const facts = operated({
      rungChecks: [check('unloaded', 9)],
      sessions: [withPain(2, 6), withPain(4, 3)],
      dayChecks: [{ atMs: NOW_MS - 60_000, notWell: ['sleep'], painNow: 1, bloodPressure: null }],
    });
    expect(criteriaOnRecord(facts, limb, NOW_MS)).toEqual({
      pain: 1,
      swellingDown: true,
      painInLast: { pain: 4, atMs: daysAgo(3) },
    });
    expect(criteriaOnRecord(operated(), limb, NOW_MS)).toEqual({
      pain: null,
      swellingDown: null,
      painInLast: null,
    });
    const [found] = checkRungEntry(facts, { limb, rung: 'loaded', answers }, NOW_MS);
    expect(englishOf(found?.message)).toContain('pain 3 or less in the last session');
    expect(englishOf(adviseRung(facts, limb, NOW_MS))).toMatchObject({
      move: 'stay',
      why: 'Pain was 4 of 10 in the last session: wait.',
    });
  });

  it('waits after a session that was not tolerated, and goes down with pain above five today', () => {
    const bad = {
      sessions: [testSessionFact(1, { tolerated: false }), testSessionFact(3), testSessionFact(5)],
    };
    expect(englishOf(advice([check('loaded', 9)], bad))).toEqual([
      'stay',
      'loaded',
      'The last session was not tolerated: wait.',
    ]);
    const sore = { dayChecks: [{ atMs: NOW_MS - 60_000, notWell: [], painNow: 6, bloodPressure: null }] };
    expect(englishOf(advice([check('loaded', 9)], sore))).toEqual([
      'down',
      'unloaded',
      'Pain is 6 of 10 today.',
    ]);
    expect(englishOf(advice([check('passive', 9)], bad)[1])).toBe('passive');
  });

  it('goes down by itself: by a session that was too much for the limb, and by swelling, once a day', () => {
    const tooMuch = (days: number, limbs: Limb[] = [limb]) =>
      testSessionFact(days, { tolerated: false, stepsDown: limbs });
    const stands = (changes: Partial<ClientFacts>, rungChecks = [check('loaded', 9)]) => {
      const stood = rungInForce(operated({ rungChecks, ...changes }), limb);
      return [stood?.rung, stood?.fell];
    };
    const inSession = 'pain or a symptom to stop for in the session';
    expect(englishOf(stands({ sessions: [testSessionFact(3, { tolerated: false })] }))).toEqual([
      'loaded',
      null,
    ]);
    expect(englishOf(stands({ sessions: [tooMuch(3)] }))).toEqual(['unloaded', inSession]);
    expect(englishOf(stands({ sessions: [tooMuch(3), tooMuch(5)] })[0])).toBe('isometric');
    expect(englishOf(stands({ sessions: [tooMuch(3, ['right-thigh'])] })[0])).toBe('loaded');
    // Before the check it was known; on the lowest rung there is none below.
    expect(englishOf(stands({ sessions: [tooMuch(10)] })[0])).toBe('loaded');
    expect(englishOf(stands({ sessions: [tooMuch(3)] }, [check('passive', 9)])[0])).toBe('passive');
    expect(englishOf(stands({ sessions: [tooMuch(3)] }, [check('done', 9)]))).toEqual(['done', null]);
    const swollen = (days: number) => ({
      atMs: daysAgo(days),
      notWell: ['swelling' as const],
      painNow: 1,
      bloodPressure: null,
    });
    const twiceOnADay = [swollen(2), swollen(2.1)];
    expect(englishOf(stands({ dayChecks: twiceOnADay }))).toEqual([
      'unloaded',
      'swelling that was not going down',
    ]);
    expect(englishOf(stands({ dayChecks: [swollen(2), swollen(4)], sessions: [tooMuch(3)] })[0])).toBe(
      'passive',
    );
    // Going up again takes two sessions on the rung below, after it.
    const since = { sessions: [tooMuch(5), testSessionFact(3), testSessionFact(7)] };
    expect(englishOf(advice([check('loaded', 9)], since))).toEqual([
      'stay',
      'unloaded',
      `Down by itself after ${inSession}. 1 of 2 sessions tolerated on this rung.`,
    ]);
    const twice = { sessions: [tooMuch(5), testSessionFact(3), testSessionFact(1)] };
    expect(englishOf(advice([check('loaded', 9)], twice)[1])).toBe('loaded');
    const enter = (changes: Partial<ClientFacts>) =>
      checkRungEntry(
        operated({ rungChecks: [check('loaded', 9)], ...changes }),
        { limb, rung: 'loaded', answers },
        NOW_MS,
      ).length;
    expect([enter(since), enter(twice)]).toEqual([1, 0]);
  });

  it('asks for a rung what it is entered by, with the days it knows; down and stay ask nothing', () => {
    const below = (rung: LadderRung, changes: Partial<ClientFacts> = {}) =>
      operated({
        rungChecks: [check(rung, 9)],
        sessions: [testSessionFact(2), testSessionFact(5)],
        ...changes,
      });
    const missing = (rung: LadderRung, changes: object, facts = below('loaded')) =>
      checkRungEntry(facts, { limb, rung, answers: { ...answers, ...changes } }, NOW_MS).flatMap(
        ({ message }) =>
          inEnglish(message)
            .replace(/^.*missing: |\.$/g, '')
            .split(', '),
      );
    expect(missing('functional', {})).toEqual([]);
    expect(missing('functional', { pain: 4, clinicianAgrees: false })).toHaveLength(2);
    const early = operated({
      screenings: [
        testScreening({ yes: ['recent-surgery'], procedures: [{ limb, atMs: daysAgo(2), what: 'repair' }] }),
      ],
    });
    expect(missing('passive', {}, early)).toEqual(['four days or more since surgery']);
    const stood = operated({ rungChecks: [check('loaded', 2)] });
    expect(missing('unloaded', { pain: 9 }, stood)).toEqual([]);
    expect(missing('loaded', { pain: 9 }, stood)).toEqual([]);
    expect(missing('functional', { pain: 9 }, stood)).toHaveLength(2);
    const sessions = '2 tolerated sessions on the rung below';
    expect(missing('functional', {}, stood)).toEqual([sessions]);
    expect(missing('functional', {}, below('unloaded'))).toEqual([sessions]);
    expect(missing('loaded', {}, operated())).toEqual([sessions]);
    const one = [testSessionFact(1)];
    expect(missing('functional', {}, below('loaded', { sessions: one }))).toEqual([sessions]);
    const worse = [testSessionFact(1, { tolerated: false }), testSessionFact(3), testSessionFact(5)];
    expect(missing('functional', {}, below('loaded', { sessions: worse }))).toEqual([sessions]);
    expect(missing('passive', {}, operated())).toEqual([]);
    const done = (...tests: Parameters<typeof testStrength>[0][]) =>
      missing('done', {}, below('functional', { strengthTests: tests.map(testStrength) }));
    const retest = { side: 'left', atMs: daysAgo(1) } as const;
    const otherLeg = { id: 'other', side: 'right', atMs: daysAgo(20) } as const;
    expect(done(retest, otherLeg)).toEqual([]);
    for (const tests of [
      [],
      [retest],
      [otherLeg],
      [{ ...retest, atMs: daysAgo(10) }, otherLeg],
      [retest, { ...otherLeg, atMs: daysAgo(60) }],
      [retest, { ...otherLeg, exerciseId: 'leg-press' }],
    ])
      expect(done(...tests)).toEqual([
        'a retest of the 1RM',
        'with the other side tested by the same exercise',
      ]);
  });
});

describe('work above the rung of an operated limb (PRO-5)', () => {
  const found = (
    rungChecks: RungCheck[],
    exerciseId = 'knee-extension',
    facts = operated({ rungChecks }),
  ) => {
    const basis = basisOf(
      { ...facts, strengthTests: [testStrength()] },
      { ...testKitInUse, weightKits: [testKit] },
      'clinician',
      NOW_MS,
    );
    const session = { ...testSession(), exercises: [testExercise({ exerciseId })] };
    return composeSession(session, basis)
      .findings.filter(({ rule }) => rule === 'PRO-5')
      .map(({ level, message }) => `${level}: ${inEnglish(message)}`);
  };

  it('counts a weighed straight-leg raise as loaded', () => {
    const weighed = {
      kind: 'weighed',
      strengthTestId: 'test',
      weightKitId: 'stack',
      percentOneRepMax: 20,
    } as const;
    const raise = (load: ExerciseChoice['load']) => ({
      ...testSession(),
      exercises: [testExercise({ exerciseId: 'straight-leg-raise' }, { load })],
    });
    const findings = (load: ExerciseChoice['load']) =>
      composeSession(
        raise(load),
        basisOf(
          {
            ...operated({ rungChecks: [check('unloaded', 2)] }),
            strengthTests: [testStrength({ exerciseId: 'straight-leg-raise' })],
          },
          { ...testKitInUse, weightKits: [testKit] },
          'clinician',
          NOW_MS,
        ),
      )
        .findings.filter(({ rule }) => rule === 'PRO-5')
        .map(({ message }) => message);
    expect(findings({ kind: 'unweighed', with: 'limb weight only' })).toEqual([]);
    expect(englishOf(findings(weighed))).toEqual([
      'Straight leg raise with a weight is loaded, isolated work; the left thigh is on unloaded.',
    ]);
  });

  it('is a guard; on the rung, under it, and for a limb that was not operated on it is none', () => {
    expect(found([])).toEqual([
      'guard: Knee extension is loaded, isolated work, and no rung is on record for the left thigh.',
    ]);
    expect(found([check('unloaded', 2)])).toEqual([
      'guard: Knee extension is loaded, isolated work; the left thigh is on unloaded.',
    ]);
    expect(found([check('loaded', 2)])).toEqual([]);
    expect(found([check('functional', 2)])).toEqual([]);
    const fallen = operated({
      rungChecks: [check('loaded', 4)],
      sessions: [testSessionFact(2, { tolerated: false, stepsDown: [limb] })],
    });
    expect(found([], 'knee-extension', fallen)).toEqual([
      'guard: Knee extension is loaded, isolated work; the left thigh is on unloaded.',
    ]);
    expect(found([check('functional', 2, { limb: 'right-thigh' })])).toHaveLength(1);
    // For as long as the ladder stands, however long ago the operation was.
    const healed = testFacts({ rungChecks: [check('unloaded', 100)] });
    expect(found([], 'knee-extension', healed)).toEqual([
      'guard: Knee extension is loaded, isolated work; the left thigh is on unloaded.',
    ]);
    expect(found([check('done', 2)])).toEqual([
      'note: The left thigh is done with the cuff: work of it under one is a new plan.',
    ]);
    expect(found([], 'knee-extension', testFacts())).toEqual([]);
  });
});
