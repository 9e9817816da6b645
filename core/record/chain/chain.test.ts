import { describe, expect, it } from 'vitest';
import { englishOf } from '#language/english-of.fixture';
import { ENGLISH, inEnglish, render } from '#language/render';
import type { Text } from '../../message/message';
import { composeSession } from '../../plan/compose';
import { testBasis, testExercise, testOcclusion, testSession, testStrength } from '../../plan/plan.fixture';
import type { Clearance } from '../../screening/clearance';
import type { DayCheck } from '../../screening/day-check';
import type { ItemId } from '../../screening/items';
import type { Screening } from '../../screening/screening';
import { ageWords } from '../age-words';
import type { ClientFacts, SessionFact } from '../facts';
import type { Hold } from '../holds';
import { dayCheckInForce } from '../in-force';
import { nextPlan } from '../plans-in-force';
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
} from '../record.fixture';
import { chainOf, linksThatHold } from './chain';
import { limbInHand } from './uses';

const NOW = NOW_MS;
const ago = daysAgo;
const worn = { kind: 'cuff' as const, cuffId: 'cuff-l', label: 'L thigh', widthCm: 11.5 };
const screened = (days: number, yes: ItemId[] = []): Screening => testScreening({ atMs: ago(days), yes });
const clearance: Clearance = {
  subjects: ['diabetes'],
  givenBy: 'Dr Test',
  byPhysician: true,
  givenAtMs: ago(30),
  untilMs: ago(-30),
  maxPercentLop: 60,
  limbs: [],
  modes: [],
  highestRung: null,
  ranges: [],
  note: '',
};
const well: DayCheck = { atMs: ago(0.1), notWell: [], painNow: 1, bloodPressure: null };
const hold: Hold = {
  id: 'hold',
  cause: 'sign x',
  words: 'Dizzy in the last session',
  rule: 'RUN-3',
  atMs: ago(0.4),
  limb: null,
  subject: null,
  ends: { by: 'clinician', notBeforeMs: ago(-0.6) },
  lifted: null,
};
const measuredAgain = (mmHg: number) =>
  testOcclusion({
    id: 'again',
    atMs: ago(0.5),
    pressure: { value: mmHg, unit: 'mmHg', working: [], rules: [] },
  });
const nothing = strangerFacts;
const ready = testFacts();
/** Links that keep the plan that is next from being run. */
const holding = (facts: ClientFacts) =>
  linksThatHold(facts, testKitInUse, NOW, nextPlan(facts, NOW)?.prescription);
const states = (facts: ClientFacts) => chainOf(facts, testKitInUse, NOW).map(({ state }) => state);
const link = (facts: ClientFacts, id: string) =>
  chainOf(facts, testKitInUse, NOW).find((candidate) => candidate.id === id);

const operatedOn = (days: number) => ({
  ...screened(days, ['recent-surgery']),
  procedures: [{ limb: 'left-thigh' as const, atMs: ago(20), what: 'repair' }],
});

describe('the chain', () => {
  it('is missing throughout for a stranger', () => {
    expect(states(nothing)).toEqual(Array(6).fill('missing'));
    expect(limbInHand(nothing, undefined)).toBeUndefined();
  });

  it('holds for a person who is ready to run', () => {
    expect(holding(ready)).toEqual([]);
    expect(englishOf(link(ready, 'measure')?.reason)).toBe(
      'Left thigh, sitting: 174 ± 5 mmHg, 3 trials, 12 days old.',
    );
    expect(englishOf(link(ready, 'prescribe')?.figure)).toBe('104 mmHg');
  });

  it.each([
    ['a screening of 13 weeks', { ...screenedAs(screened(91)) }, 'screen', 'due'],
    [
      'a stop item found later',
      { ...screenedAs(...ready.screenings, screened(1, ['thrombosis'])) },
      'screen',
      'held',
    ],
    ['a pressure past its shelf life', { shelfLife: '10-days' }, 'measure', 'due'],
    [
      'a cuff of another width fitted since',
      { fits: [...ready.fits, { limb: 'left-thigh', atMs: ago(1), girthCm: 54, ...worn, widthCm: 7 }] },
      'measure',
      'due',
    ],
    ['an item without its clearance', { ...screenedAs(screened(1, ['diabetes'])) }, 'screen', 'held'],
    [
      'a clearance that has run out',
      { ...screenedAs(screened(1, ['diabetes'])), clearances: [{ ...clearance, untilMs: ago(1) }] },
      'screen',
      'held',
    ],
    [
      'an operation, after which a pressure holds for one session',
      {
        ...screenedAs(operatedOn(1)),
        clearances: [{ ...clearance, subjects: ['recent-surgery'] }],
      },
      'measure',
      'due',
    ],
    ['a red sign, until it is lifted', { holds: [hold] }, 'screen', 'held'],
    [
      'numbness, for the limb of the plan',
      {
        holds: [
          {
            ...hold,
            limb: 'left-thigh',
            ends: { by: 'review', sessionId: 'session 5', notBeforeMs: ago(-0.6) },
          },
        ],
      },
      'screen',
      'held',
    ],
    [
      'a quick check far off',
      {
        occlusions: ready.occlusions.map((lop) => ({
          ...lop,
          quickChecks: [{ atMs: ago(1), goneMmHg: 196 }],
        })),
      },
      'measure',
      'due',
    ],
    [
      'a girth that changed more than 5 %',
      { fits: [...ready.fits, { limb: 'left-thigh', atMs: ago(1), girthCm: 58, ...worn }] },
      'measure',
      'due',
    ],
    [
      'a strength test of seven weeks',
      { strengthTests: ready.strengthTests.map((t) => ({ ...t, atMs: ago(49) })) },
      'load',
      'due',
    ],
    [
      'a pressure measured after signing that is much higher',
      { occlusions: [...ready.occlusions, measuredAgain(210)] },
      'prescribe',
      'due',
    ],
    [
      'a clearance recorded after signing, for passive work only',
      { clearances: [{ ...clearance, modes: ['passive'] }] },
      'prescribe',
      'due',
    ],
  ] as [string, Partial<ClientFacts>, string, string][])(
    'is broken by %s, with the reason',
    (_, change, id, state) => {
      const facts = { ...ready, ...change };
      const found = holding(facts);
      expect(englishOf(found)).toMatchObject([{ id, state }]);
      expect(inEnglish(found[0]?.reason ?? '').length).toBeGreaterThan(15);
    },
  );

  it('holds with an item that a clearance answers, and says that it limits', () => {
    const facts = { ...ready, ...screenedAs(screened(1, ['diabetes'])), clearances: [clearance] };
    expect(englishOf(link(facts, 'screen'))).toMatchObject({ state: 'good', figure: 'start with limits' });
  });

  it('asks an operated limb for no strength test before it lifts anything (PRO-5)', () => {
    const operated: ClientFacts = {
      ...ready,
      prescriptions: [],
      coursePlans: [],
      strengthTests: [],
      ...screenedAs(operatedOn(1)),
    };
    const answers = {
      pain: 1,
      swellingDown: true,
      rangeGood: true,
      clinicianAgrees: true,
      daysSinceSurgery: 20,
    };
    const stood = (rung: 'isometric' | 'loaded'): ClientFacts => ({
      ...operated,
      rungChecks: [{ id: rung, limb: 'left-thigh', atMs: ago(1), by: 'clara', answers, rung, reason: null }],
    });
    expect(englishOf(link(operated, 'load'))).toMatchObject({ state: 'good', figure: 'no weight yet' });
    expect(link(stood('isometric'), 'load')?.state).toBe('good');
    expect(link(stood('loaded'), 'load')?.state).toBe('missing');
    // One that was taken all the same is what it is.
    expect(link({ ...operated, strengthTests: ready.strengthTests }, 'load')?.figure).toEqual(
      link(ready, 'load')?.figure,
    );
    expect(link({ ...operated, ...screenedAs(screened(1)) }, 'load')?.state).toBe('missing');
  });

  it('takes a check of today, not of yesterday', () => {
    expect(dayCheckInForce({ ...ready, dayChecks: [well] }, NOW)).toEqual(well);
    const yesterday = { ...well, atMs: ago(1), notWell: ['fever' as const] };
    expect(dayCheckInForce({ ...ready, dayChecks: [yesterday] }, NOW)).toBeUndefined();
    expect(link({ ...ready, dayChecks: [yesterday] }, 'screen')?.state).toBe('good');
  });

  it('says of a strap how tight it felt, and never counts it as measured (TIGHT)', () => {
    const strap = { kind: 'strap' as const, strapId: 's', label: 'Marked strap', widthCm: 5 };
    const facts: ClientFacts = {
      ...ready,
      fits: [{ limb: 'left-thigh', atMs: ago(1), girthCm: 54, ...strap }],
    };
    expect(link(facts, 'measure')?.state).toBe('missing');
    const felt = {
      limb: 'left-thigh' as const,
      atMs: ago(1),
      strapId: 's',
      strapLabel: 'Marked strap',
      mark: 6,
      felt: 7,
    };
    const judged = link({ ...facts, tightness: [felt] }, 'measure');
    expect(englishOf(judged)).toMatchObject({ state: 'due', figure: 'felt 7 of 10' });
    expect(englishOf(judged?.reason)).not.toContain('%');
  });

  it('never takes the other limb’s pressure for this one (LOP-4)', () => {
    const facts = {
      ...ready,
      occlusions: ready.occlusions.map((lop) => ({ ...lop, limb: 'right-thigh' as const })),
    };
    expect(link(facts, 'measure')?.state).toBe('missing');
  });

  it('asks for a test that may load the limbs of the plan: one side’s never loads two (LOAD-3)', () => {
    const pair = testExercise(
      {},
      {
        limbs: (['left-thigh', 'right-thigh'] as const).map((limb) => ({
          kind: 'measured',
          limb,
          occlusionId: limb === 'right-thigh' ? 'lop-right' : 'lop',
          percentLop: 60,
        })),
      },
    );
    const both = testStrength({ side: 'both', atMs: ago(5) });
    const { plan } = composeSession(
      { ...testSession(), exercises: [pair] },
      testBasis({ strengthTests: [both] }),
    );
    const loadOf = (side: 'left' | 'right' | 'both') =>
      link(
        {
          ...ready,
          prescriptions: [testPrescription({ plan })],
          strengthTests: [testStrength({ side, atMs: ago(5) })],
        },
        'load',
      )?.state;
    expect([loadOf('both'), loadOf('left'), loadOf('right')]).toEqual(['good', 'missing', 'missing']);
  });

  it('speaks of sessions run and open', () => {
    const run = (...sessions: SessionFact[]) =>
      link({ ...ready, sessionsFinished: sessions.length, sessions }, 'run');
    expect(englishOf(run(testSessionFact(5))?.reason)).toBe('1 session, the last 5 days ago.');
    expect(englishOf(run(testSessionFact(1, { followUp: null })))).toMatchObject({
      state: 'due',
      figure: 'ask',
    });
    expect(englishOf(run(testSessionFact(5, { finishedAtMs: null })))).toMatchObject({ state: 'due' });
  });

  it('is confirmed by a new pressure within both uncertainties and the same target (PRS-8)', () => {
    expect(holding({ ...ready, occlusions: [...ready.occlusions, measuredAgain(174.5)] })).toEqual([]);
  });

  it('speaks in the units of the practice', () => {
    const facts: ClientFacts = { ...ready, units: { mass: 'lb', length: 'in' } };
    const shown = (text: Text = '') => render(text, { ...ENGLISH, units: facts.units });
    expect(shown(link(facts, 'fit')?.figure)).toBe('21.3 in');
    expect(shown(link(facts, 'load')?.figure)).toBe('88.18 lb');
    expect(shown(link(facts, 'prescribe')?.reason)).toContain('22.05 lb');
  });

  it('says ages as people do', () => {
    expect(englishOf([0.5, 1.2, 12].map((days) => ageWords(ago(days), NOW)))).toEqual([
      'today',
      '1 day old',
      '12 days old',
    ]);
  });
});
