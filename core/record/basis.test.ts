import { describe, expect, it } from 'vitest';
import { englishOf } from '#language/english-of.fixture';
import { composeSession } from '../plan/compose';
import { testOcclusion, testSession, testStrength } from '../plan/plan.fixture';
import { libraryOf } from '../protocol/exercises';
import type { Limb } from '../quantity/limb';
import { basisOf } from './basis';
import type { ClientFacts } from './facts';
import { daysAgo, NOW_MS, testFacts, testKitInUse, testSessionFact } from './record.fixture';
import { isNewcomer, sessionsDone } from './sessions-done';

const NOW = NOW_MS;
const ago = daysAgo;
const facts = testFacts;
const kit = testKitInUse;
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
        screenings: [
          {
            ...screening,
            yes: ['recent-surgery'],
            procedures: [{ limb: 'left-arm', atMs: ago(9), what: 'repair' }],
          },
        ],
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
            highestRung: null,
            ranges: [],
            note: '',
          },
        ],
      }),
      kit,
      'coach',
      NOW,
    );
    expect(basis.procedures).toEqual([{ limb: 'left-arm', atMs: ago(9) }]);
    expect(englishOf(basis)).toMatchObject({
      prescriber: 'coach',
      limits: { 'left-arm': { maxPercentLop: 60 }, 'right-thigh': { maxPercentLop: 60 } },
    });
    expect(englishOf(basis.library['own-one']?.label)).toBe('Own press');
  });
});

describe('what was really done (PRS-4, PRO-3)', () => {
  it('counts sessions in which a person moved a limb, and passive ones apart', () => {
    const passive = {
      exerciseId: 'passive-cuff-leg',
      limbs: ['left-thigh' as const],
      mode: 'passive' as const,
    };
    const done = sessionsDone({
      zoneOffsetMs: 0,
      sessions: [
        testSessionFact(9),
        testSessionFact(3, { worked: [passive] }),
        testSessionFact(1, { worked: [] }),
      ],
    });
    expect(done.map(({ kinds }) => kinds)).toEqual([['leg'], []]);
    expect(isNewcomer({ sessions: [testSessionFact(1, { worked: [] })] })).toBe(true);
  });
});

describe('one limb first (RUN-8)', () => {
  const over65 = { atMs: daysAgo(5), version: 4, yes: ['over-65' as const], bloodPressures: [], note: '' };
  const worked = (...limbs: Limb[]) =>
    testSessionFact(3, { worked: [{ exerciseId: 'leg-press', limbs, mode: 'resistance' }] });
  const first = (changes: Partial<ClientFacts>) =>
    basisOf(facts({ screenings: [over65], sessions: [], ...changes }), kit, 'clinician', NOW).oneLimbFirst;

  it('holds for each kind of limb until one of it was trained, and only while the pressure is watched', () => {
    expect(first({})).toEqual(['arm', 'leg']);
    expect(first({ sessions: [worked('left-arm', 'right-arm')] })).toEqual(['leg']);
    expect(first({ sessions: [worked('left-thigh')] })).toEqual(['arm']);
    expect(first({ screenings: [{ ...over65, yes: [] }] })).toEqual([]);
  });
});
