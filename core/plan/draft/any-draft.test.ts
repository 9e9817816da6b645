import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { inEnglish } from '#language/render';
import { attackRuns } from '../../../tests/attack-runs';
import type { Cuff } from '../../cuff/cuff';
import type { WeightKit } from '../../load/weight-kit';
import { needsKilograms, rungSchema } from '../../protocol/exercise';
import { schoolIdSchema } from '../../protocol/schools';
import { workModeSchema } from '../../protocol/work-mode';
import { LIMBS, limbSchema, positionSchema } from '../../quantity/limb';
import { PLACE_KINDS } from '../../quantity/place';
import { whyNotChange } from '../../review/change';
import { nextSession } from '../../review/next-session';
import { allOf, clearedAlone, limited } from '../../screening/clearance.fixture';
import { sessionChoiceSchema } from '../choices';
import { compile } from '../compile';
import { composeSession } from '../compose';
import { doseOf } from '../dose';
import { goalIdSchema } from '../goals';
import { clockAtEnds } from '../occlusion-clock';
import { testBasis, testCuff, testKit, testOcclusion, testStrength, trainedWeeks } from '../plan.fixture';
import { boundsOf, repsByMuscle } from './bounds';
import { draftSession } from './draft-session';
import { testWish as wish } from './draft-wish.fixture';

const DAY = 86_400_000;

const RUNS = attackRuns(300);

const arm: Cuff = { ...testCuff, id: 'cuff-a', limbKind: 'arm', widthCm: 8, girthLowCm: 20, girthHighCm: 40 };
const bands: WeightKit = { kind: 'bands', id: 'bands', label: 'Bands', names: ['sand', 'moss'] };
const dumbbells: WeightKit = { kind: 'single-masses', id: 'd', label: 'Dumbbells', massesKg: [1, 2, 4, 8] };

describe('any draft for any valid person', () => {
  const person = fc.record({
    occlusions: fc.array(
      fc.record({
        limb: fc.constantFrom(...limbSchema.options),
        position: fc.constantFrom(...positionSchema.options),
        valueMmHg: fc.integer({ min: 90, max: 300 }),
        uncertaintyMmHg: fc.integer({ min: 3, max: 20 }),
      }),
      { minLength: 4, maxLength: 12 },
    ),
    tests: fc.array(
      fc.record({
        exerciseId: fc.constantFrom(
          'knee-extension',
          'leg-press',
          'elbow-flexion',
          'bench-press',
          'hammer-curl',
        ),
        side: fc.constantFrom('left', 'right', 'both'),
        oneRepMaxKg: fc.double({ min: 2, max: 200, noNaN: true }),
      } as const),
      { maxLength: 6 },
    ),
    maxPercentLop: fc.option(fc.integer({ min: 10, max: 100 })),
    modes: fc.option(fc.subarray(workModeSchema.options, { minLength: 1 })),
    highestRung: fc.option(fc.constantFrom(...rungSchema.options), { freq: 3 }),
    ranges: fc.subarray([
      { joint: 'knee', fromDegrees: 0, toDegrees: 45, isOfLoaded: true, from: 'Dr Test' } as const,
      { joint: 'elbow', fromDegrees: 100, toDegrees: 150, isOfLoaded: false, from: 'Dr Test' } as const,
    ]),
    limbs: fc.option(fc.subarray(limbSchema.options, { minLength: 1 })),
    limited: fc.subarray(limbSchema.options),
    maxPressureMmHg: fc.integer({ min: 120, max: 300 }),
    prescriber: fc.constantFrom('clinician', 'coach'),
    operated: fc.subarray(limbSchema.options),
    weeks: fc.nat(12),
    from65: fc.boolean(),
  } as const);
  const wished = fc.record({
    goal: fc.constantFrom(...goalIdSchema.options),
    schoolId: fc.constantFrom(...schoolIdSchema.options),
    limbs: fc.constantFrom(
      ['left-arm'],
      ['right-thigh'],
      ['left-thigh', 'right-thigh'],
      ['left-arm', 'right-arm'],
      ['left-thigh', 'right-thigh', 'right-arm'],
    ),
    together: fc.boolean(),
    rung: fc.constantFrom(...rungSchema.options),
    newcomer: fc.boolean(),
    place: fc.option(fc.constantFrom(...PLACE_KINDS), { nil: undefined }),
    beforeLift: fc.option(fc.constantFrom('bar-squat', 'deadlift', 'bench-press'), { nil: undefined }),
  });
  const reviewed = fc.array(
    fc.record(
      {
        pressurePoints: fc.constantFrom(-20, -10, 5),
        loadSteps: fc.constantFrom(-2, -1, 1),
        restMs: fc.constantFrom(30_000, 45_000, 60_000),
      },
      { requiredKeys: [] },
    ),
    { maxLength: 4 },
  );

  it('breaks no hard limit and is something that could be posted', () => {
    let drafted = 0;
    fc.assert(
      fc.property(person, wished, reviewed, (who, asked, changes) => {
        const over = testBasis({
          occlusions: who.occlusions.map(({ valueMmHg, ...fact }, i) =>
            testOcclusion({
              ...fact,
              id: `lop-${i}`,
              cuffId: fact.limb.endsWith('arm') ? 'cuff-a' : 'cuff-l',
              widthCm: fact.limb.endsWith('arm') ? 8 : 11.5,
              girthCm: fact.limb.endsWith('arm') ? 30 : 54,
              pressure: { value: valueMmHg, unit: 'mmHg', working: [], rules: [] },
            }),
          ),
          strengthTests: who.tests.map(({ oneRepMaxKg, ...fact }, i) =>
            testStrength({
              ...fact,
              id: `test-${i}`,
              oneRepMax: { value: oneRepMaxKg, unit: 'kg', working: [], rules: [] },
            }),
          ),
          cuffs: [testCuff, arm].map((cuff) => ({ ...cuff, maxPressureMmHg: who.maxPressureMmHg })),
          weightKits: [testKit, dumbbells, bands],
          limits: allOf(
            limited(
              {
                maxPercentLop: who.maxPercentLop,
                modes: who.modes,
                capFrom: 'Dr Test',
                highestRung: who.highestRung,
                ranges: who.ranges,
              },
              who.limited,
            ),
            clearedAlone(...(who.limbs ?? LIMBS)),
          ),
          prescriber: who.prescriber,
          procedures: who.operated.map((limb) => ({ limb, atMs: -9 * DAY })),
          done: trainedWeeks(who.weeks),
          from65: who.from65,
        });
        const {
          session,
          notes,
          judged,
          alternatives = [],
          leads = [],
        } = draftSession(wish({ ...asked, limbs: [...asked.limbs] }), over);
        expect(notes.length).toBeGreaterThan(0);
        if (!session) {
          // No dead end: what nothing fits says where one goes on.
          expect([notes.map(inEnglish), leads.length]).not.toEqual([expect.anything(), 0]);
          return;
        }
        drafted += 1;
        // The points are those of its aspects, and no alternative is the same, or has anything found of it (idea 8).
        expect(judged?.aspects.reduce((sum, { points }) => sum + points, 0)).toBe(judged?.points);
        expect(alternatives.length).toBeLessThanOrEqual(2);
        for (const other of alternatives) {
          expect(other.session).not.toEqual(session);
          const found = composeSession(other.session, over).findings;
          expect(found.filter(({ level }) => level !== 'note')).toEqual([]);
        }
        // Within its bounds, whichever of them is taken (PRO-6).
        const bounds = boundsOf(over);
        for (const one of [session, ...alternatives.map((other) => other.session)]) {
          if (!bounds) break;
          expect(Math.max(0, ...repsByMuscle(one.exercises, over.library).values())).toBeLessThanOrEqual(75);
          const { occludedMs } = doseOf(compile(composeSession(one, over).plan));
          expect(occludedMs).toBeLessThanOrEqual(15 * 60_000);
        }
        expect(sessionChoiceSchema.safeParse(session).error).toBeUndefined();
        const { plan, findings } = composeSession(session, over);
        // Nothing its own checks would refuse, for a coach either.
        expect(findings.filter(({ level }) => level !== 'note')).toEqual([]);
        // Nor what a review makes of it, whatever is accepted (idea 8).
        const allowed = changes.map((change, i) =>
          whyNotChange({ plan }, i, change, over.limits) === null ? change : {},
        );
        const next = nextSession(plan, allowed, over).session;
        const found = next ? composeSession(next, over).findings : [];
        expect(found.filter(({ level }) => level !== 'note')).toEqual([]);
        // Never a stack or a bar at limb weight (LOAD-5).
        for (const { exerciseId, load } of session.exercises) {
          const exercise = over.library[exerciseId];
          if (exercise && load.kind === 'unweighed') expect(needsKilograms(exercise)).toBe(false);
        }
        for (const lane of compile(plan).lanes) {
          expect(Math.max(...clockAtEnds(lane.inflations))).toBeLessThanOrEqual(20 * 60_000);
        }
      }),
      { numRuns: RUNS },
    );
    expect(drafted).toBeGreaterThan(RUNS / 20);
  });
});
