import { describe, expect, it } from 'vitest';
import { testOcclusion, testPlan } from '../plan/plan.fixture';
import type { Clearance } from '../screening/clearance';
import type { DayCheck } from '../screening/day-check';
import type { ItemId } from '../screening/items';
import type { Screening } from '../screening/screening';
import { ageWords } from './age-words';
import { chainOf, dayCheckToday, limbInHand, linksThatHold } from './chain';
import type { ClientFacts } from './facts';

const DAY = 86_400_000;
const NOW = 1_800_000_000_000;
const ago = (days: number) => NOW - days * DAY;
const derived = (value: number, unit: 'mmHg' | 'kg') => ({ value, unit, working: [], rules: [] });
const worn = { kind: 'cuff' as const, cuffId: 'cuff-l', label: 'L thigh', widthCm: 11.5 };
const calm = { systolicMmHg: 122, diastolicMmHg: 76 };
const screened = (days: number, yes: ItemId[] = []): Screening => ({
  atMs: ago(days),
  version: 1,
  yes,
  bloodPressures: [calm, calm],
  note: '',
});
const clearance: Clearance = {
  subjects: ['diabetes'],
  givenBy: 'Dr Test',
  byPhysician: true,
  givenAtMs: ago(30),
  untilMs: ago(-30),
  maxPercentLop: 60,
  limbs: [],
  modes: [],
  note: '',
};
const well: DayCheck = { atMs: ago(0.1), notWell: [], painNow: 1, bloodPressure: null };

const nothing: ClientFacts = {
  shelfLife: '4-weeks',
  units: { mass: 'kg', length: 'cm' },
  stricter: [],
  ownExercises: {},
  screenings: [],
  clearances: [],
  dayChecks: [],
  fits: [],
  tightness: [],
  occlusions: [],
  strengthTests: [],
  prescriptions: [],
  programmes: [],
  sessions: [],
};

const ready: ClientFacts = {
  ...nothing,
  screenings: [screened(20)],
  fits: [{ limb: 'left-thigh', atMs: ago(12), girthCm: 54, ...worn }],
  occlusions: [testOcclusion({ atMs: ago(12), trialsUsed: 3 })],
  strengthTests: [
    { id: 'test', exerciseId: 'knee-extension', side: 'left', atMs: ago(10), oneRepMax: derived(40, 'kg') },
  ],
  prescriptions: [
    {
      id: 'rx',
      atMs: ago(1),
      signedBy: 'clara',
      overrideReason: null,
      plan: testPlan().plan,
    },
  ],
  sessions: [],
};
const states = (facts: ClientFacts) => chainOf(facts, NOW).map(({ state }) => state);
const link = (facts: ClientFacts, id: string) => chainOf(facts, NOW).find((candidate) => candidate.id === id);

describe('the chain', () => {
  it('is missing throughout for a stranger', () => {
    expect(states(nothing)).toEqual(Array(6).fill('missing'));
    expect(limbInHand(nothing)).toBeUndefined();
  });

  it('holds for a person who is ready to run', () => {
    expect(linksThatHold(ready, NOW)).toEqual([]);
    expect(link(ready, 'measure')?.reason).toBe('Left thigh, sitting: 174 ± 5 mmHg, 3 trials, 12 days old.');
    expect(link(ready, 'prescribe')?.figure).toBe('104 mmHg');
  });

  it.each([
    ['a screening of 13 weeks', { screenings: [screened(91)] }, 'screen', 'due'],
    [
      'a stop item found later',
      { screenings: [...ready.screenings, screened(1, ['thrombosis'])] },
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
    ['an item without its clearance', { screenings: [screened(1, ['diabetes'])] }, 'screen', 'held'],
    [
      'a clearance that has run out',
      { screenings: [screened(1, ['diabetes'])], clearances: [{ ...clearance, untilMs: ago(1) }] },
      'screen',
      'held',
    ],
    [
      'an operation, after which a pressure holds for one session',
      {
        screenings: [screened(1, ['recent-surgery'])],
        clearances: [{ ...clearance, subjects: ['recent-surgery'] }],
      },
      'measure',
      'due',
    ],
    [
      'a red sign within the day',
      {
        sessions: [
          {
            id: 's',
            prescriptionId: 'rx',
            startedAtMs: ago(0.5),
            finishedAtMs: ago(0.4),
            redSigns: [{ atMs: ago(0.4), sign: 'dizzy' }],
            followUp: null,
          },
        ],
      },
      'screen',
      'held',
    ],
    ['a fever today', { dayChecks: [{ ...well, notWell: ['fever'] }] }, 'screen', 'held'],
    [
      'a quick check far off',
      {
        occlusions: ready.occlusions.map((lop) => ({
          ...lop,
          quickChecks: [{ atMs: ago(1), goneMmHg: 190 }],
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
      'a pressure taken more upright than it will be used',
      { occlusions: ready.occlusions.map((lop) => ({ ...lop, position: 'standing' })) },
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
      'a pressure measured after signing',
      { occlusions: [...ready.occlusions, ...ready.occlusions.map((lop) => ({ ...lop, atMs: ago(0.5) }))] },
      'prescribe',
      'due',
    ],
  ] as [string, Partial<ClientFacts>, string, string][])(
    'is broken by %s, with the reason',
    (_, change, id, state) => {
      const facts = { ...ready, ...change };
      const holding = linksThatHold(facts, NOW);
      expect(holding).toMatchObject([{ id, state }]);
      expect(holding[0]?.reason.length).toBeGreaterThan(15);
    },
  );

  it('holds with an item that a clearance answers, and says that it limits', () => {
    const facts = { ...ready, screenings: [screened(1, ['diabetes'])], clearances: [clearance] };
    expect(link(facts, 'screen')).toMatchObject({ state: 'good', figure: 'start with limits' });
  });

  it('takes a check of today, not of yesterday', () => {
    expect(dayCheckToday({ ...ready, dayChecks: [well] }, NOW)).toEqual(well);
    const yesterday = { ...well, atMs: ago(1), notWell: ['fever' as const] };
    expect(dayCheckToday({ ...ready, dayChecks: [yesterday] }, NOW)).toBeUndefined();
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
    expect(judged).toMatchObject({ state: 'due', figure: 'felt 7 of 10' });
    expect(judged?.reason).not.toContain('%');
  });

  it('never takes the other limb’s pressure for this one (LOP-4)', () => {
    const facts = {
      ...ready,
      occlusions: ready.occlusions.map((lop) => ({ ...lop, limb: 'right-thigh' as const })),
    };
    expect(link(facts, 'measure')?.state).toBe('missing');
  });

  it('speaks of sessions run and open', () => {
    const session = {
      id: 's',
      prescriptionId: 'rx',
      startedAtMs: ago(5),
      finishedAtMs: ago(5),
      redSigns: [],
      followUp: null,
    };
    expect(link({ ...ready, sessions: [session] }, 'run')?.reason).toBe('1 session, the last 5 days ago.');
    const recent = { ...session, startedAtMs: ago(1), finishedAtMs: ago(1) };
    expect(link({ ...ready, sessions: [recent] }, 'run')).toMatchObject({ state: 'due', figure: 'ask' });
    expect(link({ ...ready, sessions: [{ ...session, finishedAtMs: null }] }, 'run')).toMatchObject({
      state: 'due',
    });
  });

  it('lets a person start again the day after a red sign (RUN-3)', () => {
    const session = { id: 's', prescriptionId: 'rx', startedAtMs: ago(1.2), finishedAtMs: ago(1.1) };
    const facts: ClientFacts = {
      ...ready,
      sessions: [{ ...session, redSigns: [{ atMs: ago(1.1), sign: 'dizzy' }], followUp: null }],
    };
    expect(linksThatHold(facts, NOW)).toEqual([]);
  });

  it('speaks in the units of the practice', () => {
    const facts: ClientFacts = { ...ready, units: { mass: 'lb', length: 'in' } };
    expect(link(facts, 'fit')?.figure).toBe('21.3 in');
    expect(link(facts, 'load')?.figure).toBe('88.18 lb');
    expect(link(facts, 'prescribe')?.reason).toContain('22.05 lb');
  });

  it('says ages as people do', () => {
    expect([0.5, 1.2, 12].map((days) => ageWords(ago(days), NOW))).toEqual([
      'today',
      '1 day old',
      '12 days old',
    ]);
  });
});
