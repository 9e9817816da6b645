import { describe, expect, it } from 'vitest';
import type { RungCheck } from '../course/ladder';
import type { ExerciseChoice } from '../plan/choices';
import { composeSession } from '../plan/compose';
import { testExercise, testKit, testSession, testStrength } from '../plan/plan.fixture';
import type { LadderRung } from '../protocol/exercise';
import { basisOf } from './basis';
import type { ClientFacts } from './facts';
import { adviseRung, checkRungEntry, daysSinceProcedure, rungInForce } from './ladder-in-force';
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
    expect(advice([])).toEqual(['begin', 'passive', 'No rung is on record: answer what is asked.']);
    expect(advice([check('done', 3)])[0]).toBe('done');
  });

  it('goes up after two tolerated sessions on the rung, and says what to ask first', () => {
    const two = { sessions: [testSessionFact(2), testSessionFact(5), testSessionFact(12)] };
    expect(advice([check('unloaded', 9)], two)).toEqual([
      'up',
      'loaded',
      '2 sessions tolerated on this rung.',
    ]);
    expect(advice([check('unloaded', 3)], two)).toEqual([
      'stay',
      'unloaded',
      '1 of 2 sessions tolerated on this rung.',
    ]);
    const unsure = check('unloaded', 9, { answers: { ...answers, rangeGood: false, daysSinceSurgery: 20 } });
    expect(advice([unsure], two)[2]).toContain('Ask first: range of the exercise without a lag.');
    expect(advice([check('functional', 9)], two)).toEqual([
      'up',
      'done',
      'Tolerated: heavy work without the cuff, with a retest of the 1RM.',
    ]);
    const other = [2, 5].map((days) =>
      testSessionFact(days, {
        worked: [{ exerciseId: 'knee-extension', limbs: ['right-thigh'], mode: 'resistance' }],
      }),
    );
    expect(advice([check('unloaded', 9)], { sessions: other })[0]).toBe('stay');
  });

  it('goes down after a session that was not tolerated, or with pain above five today', () => {
    const bad = {
      sessions: [testSessionFact(1, { tolerated: false }), testSessionFact(3), testSessionFact(5)],
    };
    expect(advice([check('loaded', 9)], bad)).toEqual([
      'down',
      'unloaded',
      'The last session was not tolerated.',
    ]);
    const sore = { dayChecks: [{ atMs: NOW_MS - 60_000, notWell: [], painNow: 6, bloodPressure: null }] };
    expect(advice([check('loaded', 9)], sore)).toEqual(['down', 'unloaded', 'Pain is 6 of 10 today.']);
    expect(advice([check('passive', 9)], bad)[1]).toBe('passive');
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
        ({ message }) => message.replace(/^.*missing: |\.$/g, '').split(', '),
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
    const sessions = 'two tolerated sessions on the rung below';
    expect(missing('functional', {}, stood)).toEqual([sessions]);
    expect(missing('functional', {}, below('unloaded'))).toEqual([sessions]);
    expect(missing('loaded', {}, operated())).toEqual([sessions]);
    const worse = [testSessionFact(1, { tolerated: false }), testSessionFact(3), testSessionFact(5)];
    expect(missing('functional', {}, below('loaded', { sessions: worse }))).toEqual([sessions]);
    expect(missing('passive', {}, operated())).toEqual([]);
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
      .map(({ level, message }) => `${level}: ${message}`);
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
    expect(findings(weighed)).toEqual([
      'Straight leg raise with a weight is loaded, isolated work; the left thigh stands on unloaded.',
    ]);
  });

  it('is a guard; on the rung, under it, and for a limb that was not operated on it is none', () => {
    expect(found([])).toEqual([
      'guard: Knee extension is loaded, isolated work, and no rung is on record for the left thigh.',
    ]);
    expect(found([check('unloaded', 2)])).toEqual([
      'guard: Knee extension is loaded, isolated work; the left thigh stands on unloaded.',
    ]);
    expect(found([check('loaded', 2)])).toEqual([]);
    expect(found([check('functional', 2)])).toEqual([]);
    expect(found([check('functional', 2, { limb: 'right-thigh' })])).toHaveLength(1);
    // For as long as the ladder stands, however long ago the operation was.
    const healed = testFacts({ rungChecks: [check('unloaded', 100)] });
    expect(found([], 'knee-extension', healed)).toEqual([
      'guard: Knee extension is loaded, isolated work; the left thigh stands on unloaded.',
    ]);
    expect(found([check('done', 2)])).toEqual([
      'note: The left thigh is done with the cuff: work of it under one is a new plan.',
    ]);
    expect(found([], 'knee-extension', testFacts())).toEqual([]);
  });
});
