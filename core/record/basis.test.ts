import { describe, expect, it } from 'vitest';
import { composeSession } from '../plan/compose';
import { testCuff, testKit, testOcclusion, testPlan, testSession, testStrength } from '../plan/plan.fixture';
import { libraryOf } from '../protocol/exercises';
import { basisOf, passiveDays, weeksTrained } from './basis';
import type { ClientFacts, SessionFact } from './facts';

const DAY = 86_400_000;
const NOW = 1_800_000_000_000;
const ago = (days: number) => NOW - days * DAY;
const session = (daysAgo: number, prescriptionId = 'rx', finished = true): SessionFact => ({
  id: `${daysAgo}`,
  prescriptionId,
  startedAtMs: ago(daysAgo),
  finishedAtMs: finished ? ago(daysAgo) + 900_000 : null,
  redSigns: [],
  followUp: null,
});
const facts = (changes: Partial<ClientFacts> = {}): ClientFacts => ({
  shelfLife: '4-weeks',
  units: { mass: 'kg', length: 'cm' },
  stricter: [],
  ownExercises: {},
  screenings: [],
  clearances: [],
  dayChecks: [],
  fits: [
    {
      kind: 'cuff',
      limb: 'left-thigh',
      atMs: ago(10),
      girthCm: 54,
      widthCm: 11.5,
      label: 'L thigh',
      cuffId: 'cuff-l',
    },
  ],
  tightness: [],
  occlusions: [testOcclusion({ atMs: ago(10) })],
  strengthTests: [testStrength({ atMs: ago(10) })],
  prescriptions: [],
  programmes: [],
  sessions: [],
  ...changes,
});
const kit = { cuffs: [testCuff], weightKits: [testKit] };
const rules = (changes: Partial<ClientFacts>) =>
  composeSession(testSession(), basisOf(facts(changes), kit, 'clinician', NOW)).findings.map(
    ({ rule, level }) => `${rule} ${level}`,
  );

describe('what a session is composed from', () => {
  it('finds nothing to say while everything is fresh', () => {
    expect(rules({})).toEqual([]);
  });

  it.each<[string, Partial<ClientFacts>, string]>([
    ['an old pressure', { occlusions: [testOcclusion({ atMs: ago(29) })] }, 'LOP-6 note'],
    ['a girth that changed', { fits: facts().fits.map((fit) => ({ ...fit, girthCm: 58 })) }, 'LOP-6 note'],
    ['an old strength test', { strengthTests: [testStrength({ atMs: ago(43) })] }, 'LOAD-2 note'],
  ])('notes %s where the figure is chosen', (_, changes, found) => {
    expect(rules(changes)).toEqual([found]);
  });

  it('knows an operation, the clearances, and the practice’s own exercises', () => {
    const screening = { atMs: ago(5), version: 1, bloodPressures: [], note: '' };
    const own = { 'own-one': { ...libraryOf({})['leg-press'], label: 'Own press' } };
    const basis = basisOf(
      facts({
        screenings: [{ ...screening, yes: ['recent-surgery'] }],
        ownExercises: own as ClientFacts['ownExercises'],
        clearances: [
          {
            subjects: ['recent-surgery'],
            givenBy: 'Dr Test',
            byPhysician: true,
            givenAtMs: ago(4),
            untilMs: null,
            maxPercentLop: 60,
            limbs: [],
            modes: [],
            note: '',
          },
        ],
      }),
      kit,
      'coach',
      NOW,
    );
    expect(basis).toMatchObject({ postOperative: true, prescriber: 'coach', limits: { maxPercentLop: 60 } });
    expect(basis.library['own-one']?.label).toBe('Own press');
  });
});

describe('how long somebody has trained (PRS-4)', () => {
  it('counts whole weeks since the first finished session', () => {
    expect(weeksTrained(facts(), NOW)).toBe(0);
    expect(weeksTrained(facts({ sessions: [session(2), session(20), session(30, 'rx', false)] }), NOW)).toBe(
      2,
    );
  });

  it('counts passive days apart', () => {
    const { plan } = testPlan();
    const passive = {
      ...plan,
      exercises: plan.exercises.map((one) => ({ ...one, mode: 'passive' as const })),
    };
    const signed = { atMs: ago(20), signedBy: 'clara', overrideReason: null };
    const over = facts({
      prescriptions: [
        { ...signed, id: 'rx', plan },
        { ...signed, id: 'rest', plan: passive },
      ],
      sessions: [session(9), session(3, 'rest'), session(1, 'rest')],
    });
    expect(passiveDays(over, NOW)).toBe(3);
    expect(passiveDays(facts(), NOW)).toBe(0);
  });
});
