import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { englishOf } from '#language/english-of.fixture';
import { hardFindings } from '../findings/finding';
import { PROTOCOLS } from '../protocol/data/protocols';
import { protocolIdSchema } from '../protocol/protocols';
import { type SchoolId, schoolIdSchema } from '../protocol/schools';
import { pacedReps } from '../protocol/set-work';
import { TEMPOS, tempoIdSchema } from '../protocol/tempo';
import type { Limb } from '../quantity/limb';
import { limited } from '../screening/clearance.fixture';
import { checkTimeline } from './check-timeline';
import { compareSchools } from './compare-schools';
import { compile } from './compile';
import { composeSession } from './compose';
import { doseOf } from './dose';
import { clockAtEnds, fenceMs, occlusionClockMs, stretchesOf } from './occlusion-clock';
import type { Plan } from './plan';
import {
  measuredTarget,
  testBasis,
  testCuff,
  testExercise,
  testOcclusion,
  testPlan,
  testSession,
  testStrength,
  weighedLoad,
} from './plan.fixture';
import type { Inflation, Timeline } from './timeline';

const MIN = 60_000;
const up = (fromMs: number, toMs: number): Inflation => ({
  fromMs,
  toMs,
  occlusionMmHg: 174,
  steps: [{ atMs: fromMs, pressureMmHg: 100 }],
});
const lane = (limb: 'left-arm' | 'left-thigh', ...inflations: Inflation[]) => ({
  limb,
  inflations,
});

describe('compile', () => {
  it('lays standard-75 out as worked by hand: 20 s settling, 75 × 2 s of work, three rests of 30 s', () => {
    const { plan, findings } = testPlan();
    expect(findings).toEqual([]);
    const timeline = compile(plan);
    expect(timeline.sets.map(({ fromMs, toMs }) => [fromMs / 1000, toMs / 1000])).toEqual([
      [20, 80],
      [110, 140],
      [170, 200],
      [230, 260],
    ]);
    expect(timeline.lanes[0]?.inflations.map(({ fromMs, toMs }) => [fromMs, toMs])).toEqual([[0, 260_000]]);
    expect(doseOf(timeline)).toMatchObject({ reps: 75, volumeKgReps: 750, occludedMs: 260_000 });
    expect(doseOf(timeline).limbs[0]?.pressureTimeMmHgMin).toBeCloseTo((104 * 260) / 60, 6);
  });

  it('deflates release-75 in each rest and inflates again 5 s before the set', () => {
    const timeline = compile(testPlan({ protocolId: 'release-75', tempoId: '2-0-2', restMs: 60_000 }).plan);
    const inflations = timeline.lanes[0]?.inflations ?? [];
    expect(inflations).toHaveLength(4);
    expect((inflations[1]?.fromMs ?? 0) - (inflations[0]?.toMs ?? 0)).toBe(55_000);
    // 55 s of free flow is not yet 60: the clock counts on.
    expect(clockAtEnds(inflations).at(-1)).toBe(20_000 + 300_000 + 3 * 5_000);
  });
});

describe('occlusion clock (PRO-1)', () => {
  it('pauses below 60 s of free flow and starts again at 60 s', () => {
    expect(clockAtEnds([up(0, 5 * MIN), up(5.5 * MIN, 8 * MIN)])).toEqual([5 * MIN, 7.5 * MIN]);
    expect(clockAtEnds([up(0, 5 * MIN), up(6 * MIN, 8 * MIN)])).toEqual([5 * MIN, 2 * MIN]);
    const stretches = (from: number) =>
      stretchesOf(lane('left-thigh', up(0, 5 * MIN), up(from, 8 * MIN)), { sets: [] }).length;
    expect([stretches(6 * MIN - 1), stretches(6 * MIN)]).toEqual([1, 2]);
    expect(occlusionClockMs([up(0, 5 * MIN)], 6 * MIN)).toBe(0);
    expect(occlusionClockMs([up(0, 5 * MIN)], 5.9 * MIN)).toBe(5 * MIN);
  });

  it('draws the fence where the limit would fall', () => {
    expect(fenceMs(lane('left-thigh', up(0, 5 * MIN)), 20 * MIN)).toBe(20 * MIN);
    expect(fenceMs(lane('left-arm', up(0, 5 * MIN), up(5.5 * MIN, 8 * MIN)), 15 * MIN)).toBe(15.5 * MIN);
    expect(fenceMs(lane('left-arm'), 15 * MIN)).toBeNull();
  });
});

describe('checkTimeline (PRO-1, PRO-2)', () => {
  const { plan } = testPlan();
  const [exercise] = plan.exercises;
  if (!exercise) throw new Error('The plan has an exercise.');
  const aerobic: Plan = { ...plan, exercises: [{ ...exercise, mode: 'aerobic' }] };
  const two: Plan = { ...plan, exercises: [exercise, exercise] };
  const set = (exerciseIndex: number, limb: Limb, fromMs: number, toMs: number) => ({
    exerciseIndex,
    setIndex: 0,
    limbs: [limb],
    fromMs,
    toMs,
    reps: 1,
    plannedReps: 1,
    loadKg: null,
    tempo: exercise.tempo,
  });
  const timeline = (lanes: Timeline['lanes'], sets: Timeline['sets'] = []): Timeline => ({
    lanes,
    sets,
    endMs: 40 * MIN,
  });
  /** One stretch of so many minutes, with the exercises that fall into it. */
  const levels = (over: Plan, limb: 'left-arm' | 'left-thigh', minutes: number) =>
    checkTimeline(
      timeline(
        [lane(limb, up(0, minutes * MIN))],
        over.exercises.map((_, i) => set(i, limb, i * MIN, (i + 1) * MIN)),
      ),
      over,
    ).map(({ level }) => level);

  it('guards over 10 min of one exercise and refuses past 15 min on an arm, 20 min on a leg', () => {
    expect([10, 11, 15, 15.1].map((m) => levels(plan, 'left-arm', m))).toEqual([
      [],
      ['guard'],
      ['guard'],
      ['hard'],
    ]);
    expect([10, 10.1, 20, 20.1].map((m) => levels(plan, 'left-thigh', m))).toEqual([
      [],
      ['guard'],
      ['guard'],
      ['hard'],
    ]);
  });

  it('guards a leg over 15 min in aerobic work or a shared inflation; an arm has its hard 15 there', () => {
    for (const over of [aerobic, two]) {
      expect([15, 15.1, 20.1].map((m) => levels(over, 'left-thigh', m))).toEqual([[], ['guard'], ['hard']]);
      expect([15, 15.1].map((m) => levels(over, 'left-arm', m))).toEqual([[], ['hard']]);
    }
  });

  it('guards over 20 min an arm and 30 min a leg in all, whatever flows between', () => {
    const inAll = (limb: 'left-arm' | 'left-thigh', spells: number, minutes: number) =>
      checkTimeline(
        timeline([
          lane(
            limb,
            ...Array.from({ length: spells }, (_, i) => up(i * 12 * MIN, i * 12 * MIN + minutes * MIN)),
          ),
        ]),
        plan,
      ).map(({ subject }) => subject);
    expect([inAll('left-arm', 2, 10), inAll('left-arm', 3, 6.7)]).toEqual([[], ['occludedInAll']]);
    expect([inAll('left-thigh', 3, 10), inAll('left-thigh', 4, 7.6)]).toEqual([[], ['occludedInAll']]);
  });

  it('opens the usual aerobic work without a guard', () => {
    const walk = testExercise(
      { exerciseId: 'leg-press', protocolId: 'aerobic', percentLop: 40 },
      { load: { kind: 'unweighed', with: 'body weight' } },
    );
    const { findings } = composeSession({ ...testSession(), exercises: [walk] }, testBasis());
    expect(findings.filter(({ rule }) => rule === 'PRO-1')).toEqual([]);
  });

  it('refuses arms and legs at the same time, and allows one after the other', () => {
    const together = timeline([lane('left-arm', up(0, 5 * MIN)), lane('left-thigh', up(MIN, 2 * MIN))]);
    expect(englishOf(checkTimeline(together, plan))).toMatchObject([{ rule: 'PRO-2', level: 'hard' }]);
    const apart = timeline([lane('left-arm', up(0, MIN)), lane('left-thigh', up(MIN, 2 * MIN))]);
    expect(checkTimeline(apart, plan)).toEqual([]);
  });
});

describe('composeSession', () => {
  it('gives the figures a practitioner would work out', () => {
    const { plan } = testPlan();
    expect(measuredTarget(plan).pressure.value).toBe(104);
    expect(englishOf(weighedLoad(plan))).toMatchObject({ load: { value: 10 }, truePercent: 25 });
  });

  it.each([
    [{ percentLop: 90 }, 'PRS-3', 'percentLop'],
    [{ percentOneRepMax: 55 }, 'LOAD-3', 'percentOneRepMax'],
    [{ exerciseId: 'elbow-flexion' as const }, 'FIT-1', 'exerciseId'],
    [{ tempoId: '2-0-2' as const, restMs: 300_000 }, 'PRO-1', 'protocolId'],
  ])('refuses %j beside what causes it', (changes, rule, subject) => {
    const [first] = hardFindings(testPlan(changes).findings);
    expect(englishOf(first)).toMatchObject({ rule, subject });
  });

  it('refuses a pressure the cuff cannot hold and notes an unsteady measurement', () => {
    const { findings } = testPlan(
      {},
      { cuffs: [{ ...testCuff, maxPressureMmHg: 100 }], occlusions: [testOcclusion({ steady: false })] },
    );
    expect(findings.map(({ rule, level }) => [rule, level])).toEqual([
      ['FIT-2', 'hard'],
      ['LOP-3', 'note'],
    ]);
  });

  it('never passes a hard limit without a hard finding, whatever is chosen', () => {
    fc.assert(
      fc.property(
        fc.record({
          percentLop: fc.integer({ min: 20, max: 120 }),
          percentOneRepMax: fc.integer({ min: 5, max: 90 }),
          restMs: fc.integer({ min: 0, max: 600_000 }),
          schoolId: fc.constantFrom(...schoolIdSchema.options),
          protocolId: fc.constantFrom(...protocolIdSchema.options),
          tempoId: fc.constantFrom(...tempoIdSchema.options),
        }),
        fc.double({ min: 90, max: 300, noNaN: true }),
        fc.double({ min: 8, max: 200, noNaN: true }),
        (choices, lopMmHg, oneRepMaxKg) => {
          const { plan, findings } = testPlan(choices, {
            occlusions: [
              testOcclusion({ pressure: { value: lopMmHg, unit: 'mmHg', working: [], rules: [] } }),
            ],
            strengthTests: [
              testStrength({ oneRepMax: { value: oneRepMaxKg, unit: 'kg', working: [], rules: [] } }),
            ],
          });
          if (hardFindings(findings).length > 0) return;
          const pressure = measuredTarget(plan).pressure.value;
          expect(pressure / lopMmHg).toBeLessThanOrEqual(0.8 + 1e-4);
          expect(weighedLoad(plan).load.value / oneRepMaxKg).toBeLessThanOrEqual(0.5 + 1e-3);
          const clocks = clockAtEnds(compile(plan).lanes[0]?.inflations ?? []);
          expect(Math.max(...clocks)).toBeLessThanOrEqual(20 * MIN);
        },
      ),
    );
  });

  it('keeps the protocols and tempos of the practice', () => {
    const standard = PROTOCOLS['standard-75'].sets.map(pacedReps);
    expect(standard).toEqual([30, 15, 15, 15]);
    expect(PROTOCOLS['release-75'].reinflateLeadMs).toBe(5000);
    expect(TEMPOS['1.5-0-1.5']).toEqual({ upMs: 1500, holdMs: 0, downMs: 1500 });
  });
});

describe('the schools side by side (PRS-2)', () => {
  const rows = compareSchools(testSession(), testBasis({ done: [] }));
  const row = (schoolId: SchoolId) => rows.find((candidate) => candidate.schoolId === schoolId);

  it('gives what each would do for the same person, as worked by hand', () => {
    // LOP 174 mmHg, gauge division 2, in the first week: each school starts where its table says.
    expect(rows.map(({ pressure }) => [pressure?.percentLop, pressure?.pressureMmHg])).toEqual([
      [60, 104],
      [40, 68],
      [50, 86],
      [50, 86],
      [50, 86],
    ]);
  });

  it('deflates between sets where the school does, so the longest stretch is shorter', () => {
    const released = row('rest-release');
    expect(released?.longestMs).toBeLessThan(row('clinic')?.longestMs ?? 0);
    expect(released?.occludedMs).toBeGreaterThan(released?.longestMs ?? 0);
  });

  it('obeys a clearance in every school', () => {
    const limits = limited({ maxPercentLop: 45, capFrom: 'Dr Test' }, ['left-thigh']);
    for (const capped of compareSchools(testSession(), testBasis({ limits }))) {
      expect(capped.pressure?.percentLop).toBeLessThanOrEqual(45);
    }
  });
});

it('marks a 1RM that stands in from the other side (LOAD-3)', () => {
  expect(
    englishOf(testPlan({}, { strengthTests: [testStrength({ side: 'right' })] }).findings),
  ).toContainEqual(expect.objectContaining({ rule: 'LOAD-3', level: 'note', subject: 'strengthTestId' }));
  const halved = testPlan({}, { strengthTests: [testStrength({ side: 'both' })] });
  expect(englishOf(halved.findings)).toMatchObject([
    { rule: 'LOAD-3', level: 'note', subject: 'strengthTestId' },
  ]);
  // 25 % of half of 40 kg is 5 kg.
  expect(englishOf(weighedLoad(halved.plan))).toMatchObject({ load: { value: 5 }, oneRepMax: { value: 20 } });
});
