import { describe, expect, it } from 'vitest';
import { testPlan } from '../plan/plan.fixture';
import type { ClientFacts } from './facts';
import { ageWords, chainOf, limbInHand, linksThatHold } from './links';

const DAY = 86_400_000;
const NOW = 1_800_000_000_000;
const ago = (days: number) => NOW - days * DAY;
const derived = (value: number, unit: 'mmHg' | 'kg') => ({ value, unit, working: [], rules: [] });
const cuff = { cuffId: 'cuff-l', cuffLabel: 'L thigh', widthCm: 11.5 };

const nothing: ClientFacts = {
  shelfLife: '4-weeks',
  screenings: [],
  fits: [],
  occlusions: [],
  strengthTests: [],
  prescriptions: [],
  sessions: [],
};

const ready: ClientFacts = {
  shelfLife: '4-weeks',
  screenings: [{ atMs: ago(20), outcome: 'clear-to-start', note: '' }],
  fits: [{ limb: 'left-thigh', atMs: ago(12), girthCm: 54, ...cuff }],
  occlusions: [
    {
      id: 'lop',
      limb: 'left-thigh',
      position: 'sitting',
      ...cuff,
      girthCm: 54,
      atMs: ago(12),
      pressure: derived(174, 'mmHg'),
      uncertaintyMmHg: 5,
      steady: true,
      trialsUsed: 3,
    },
  ],
  strengthTests: [
    { id: 'test', exerciseId: 'knee-extension', side: 'left', atMs: ago(10), oneRepMax: derived(40, 'kg') },
  ],
  prescriptions: [
    {
      id: 'rx',
      atMs: ago(1),
      occlusionId: 'lop',
      strengthTestId: 'test',
      side: 'left',
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
    [
      'a screening of 13 weeks',
      { screenings: [{ atMs: ago(91), outcome: 'clear-to-start', note: '' }] },
      'screen',
      'due',
    ],
    [
      'a stop item found later',
      {
        screenings: [
          ...ready.screenings,
          { atMs: ago(1), outcome: 'do-not-start', note: 'Clot last year, awaiting the physician.' },
        ],
      },
      'screen',
      'held',
    ],
    ['a pressure past its shelf life', { shelfLife: '10-days' }, 'measure', 'due'],
    [
      'a cuff of another width fitted since',
      { fits: [...ready.fits, { limb: 'left-thigh', atMs: ago(1), girthCm: 54, ...cuff, widthCm: 7 }] },
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

  it('never takes the other limb’s pressure for this one (LOP-4)', () => {
    const facts = {
      ...ready,
      occlusions: ready.occlusions.map((lop) => ({ ...lop, limb: 'right-thigh' as const })),
    };
    expect(link(facts, 'measure')?.state).toBe('missing');
  });

  it('speaks of sessions run and open', () => {
    const session = { id: 's', prescriptionId: 'rx', startedAtMs: ago(3), finishedAtMs: ago(3) };
    expect(link({ ...ready, sessions: [session] }, 'run')?.reason).toBe('1 session, the last 3 days ago.');
    expect(link({ ...ready, sessions: [{ ...session, finishedAtMs: null }] }, 'run')).toMatchObject({
      state: 'due',
    });
  });

  it('says ages as people do', () => {
    expect([0.5, 1.2, 12].map((days) => ageWords(ago(days), NOW))).toEqual([
      'today',
      '1 day old',
      '12 days old',
    ]);
  });
});
