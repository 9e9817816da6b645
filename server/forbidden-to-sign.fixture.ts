import type { ClientRecord } from '#contract/client';
import type { NewClearance } from '#contract/measurements';
import type { PracticeView } from '#contract/practice';
import type { NewPrescription } from '#contract/prescription';
import type { ExerciseChoice, LoadChoice } from '#core/plan';
import { testExercise } from '#core/plan/plan.fixture';
import type { RuleId } from '#core/rules';
import { type Api, CLEAR, FIT, prescriptionFor } from './api.fixture';

/** A person with every link good, a signed plan and a check of today. */
import { clearance, largeCuff, measureAgain, testAgain } from './forbidden.fixture';

export type WayToSign = {
  way: string;
  rule: RuleId | null;
  /** What happens before it is posted. */
  first?: (api: Api, client: ClientRecord) => Promise<unknown>;
  plan: (plan: NewPrescription, client: ClientRecord) => unknown;
};

const only = (change: (exercise: ExerciseChoice) => unknown) => (plan: NewPrescription) => ({
  ...plan,
  exercises: plan.exercises.map(change),
});

const withPercent = (percentLop: number): WayToSign => ({
  way: `${percentLop} % of LOP`,
  rule: 'PRS-3',
  plan: (_, client) => prescriptionFor(client, { percentLop }),
});

const withLoad = (percentOneRepMax: number): WayToSign => ({
  way: `${percentOneRepMax} % of 1RM`,
  rule: 'LOAD-3',
  plan: (_, client) => prescriptionFor(client, { percentOneRepMax }),
});

const limbs = (changes: object) =>
  only((exercise) => ({ ...exercise, limbs: exercise.limbs.map((limb) => ({ ...limb, ...changes })) }));
const load = (changes: Partial<LoadChoice>) =>
  only((exercise) => ({ ...exercise, load: { ...exercise.load, ...changes } }));
const sets = (changes: object) =>
  only((exercise) => ({ ...exercise, sets: exercise.sets.map((set) => ({ ...set, ...changes })) }));

/** Nothing is lifted; the cuff alone. */
const AT_REST = { load: { kind: 'unweighed', with: 'limb weight only' } } as const;
const cycles = (changes: object) =>
  only((exercise) => ({
    ...exercise,
    protocolId: 'cycles',
    sets: exercise.sets.map((set) => ({ ...set, work: { kind: 'timed', workMs: 30_000 }, release: true })),
    ...changes,
  }));

export const WAYS_TO_SIGN: WayToSign[] = [
  ...[81, 85, 90, 100, 129, 150, 200].map(withPercent),
  ...[51, 55, 75, 100, 200].map(withLoad),
  ...[0, -10, 201, Number.NaN].map(
    (percentLop): WayToSign => ({
      way: `a share of ${percentLop} %`,
      rule: null,
      plan: limbs({ percentLop }),
    }),
  ),
  ...[0, -5, 201].map(
    (percentOneRepMax): WayToSign => ({
      way: `a load of ${percentOneRepMax} %`,
      rule: null,
      plan: load({ percentOneRepMax }),
    }),
  ),
  ...(['right-thigh', 'left-arm', 'right-arm'] as const).map(
    (limb): WayToSign => ({
      way: `the pressure of the left thigh on the ${limb}`,
      rule: null,
      plan: limbs({ limb }),
    }),
  ),
  { way: 'a pressure of no record', rule: null, plan: limbs({ occlusionId: 'of-no-record' }) },
  { way: 'a strap that is not in the kit', rule: null, plan: limbs({ kind: 'by-feel', strapId: 'none' }) },
  {
    way: 'an arbitrary pressure where the practice does not work so',
    rule: null,
    plan: limbs({ kind: 'arbitrary', cuffId: 'thigh-large', pressureMmHg: 60 }),
  },
  {
    // Expected are 151 mmHg, of which 80 % are 120; the limb was never measured.
    way: 'a pressure without a LOP over 80 % of the one to expect',
    rule: 'PRS-7',
    first: async (api, client) => {
      const { settings } = await api.get<PracticeView>('/practice');
      await api.post('/practice/settings', { ...settings, arbitraryUpToMmHg: 170 });
      await api.post(`/clients/${client.id}/fits`, { ...FIT, limb: 'right-thigh' });
    },
    plan: (_, client) => ({
      ...prescriptionFor(client),
      goal: 'aerobic',
      exercises: [
        testExercise(
          { exerciseId: 'walking', protocolId: 'aerobic', position: 'standing' },
          {
            limbs: [{ kind: 'arbitrary', limb: 'right-thigh', cuffId: 'thigh-large', pressureMmHg: 130 }],
            load: { kind: 'unweighed', with: 'body weight' },
            intensity: { by: 'talking' },
          },
        ),
      ],
    }),
  },
  ...['constructor', '__proto__', 'toString', 'hasOwnProperty'].map(
    (exerciseId): WayToSign => ({
      way: `an exercise called ${exerciseId}`,
      rule: null,
      plan: only((exercise) => ({ ...exercise, exerciseId })),
    }),
  ),
  {
    way: 'an arbitrary pressure under no cuff',
    rule: null,
    plan: limbs({ kind: 'arbitrary', cuffId: 'none', pressureMmHg: 60 }),
  },
  { way: 'a test of no record', rule: null, plan: load({ strengthTestId: 'of-no-record' }) },
  { way: 'weights that are not in the kit', rule: null, plan: load({ weightKitId: 'none' }) },
  { way: 'a share of 1RM in bands', rule: null, plan: load({ weightKitId: 'bands' }) },
  {
    way: 'a test of another exercise',
    rule: null,
    plan: only((exercise) => ({ ...exercise, exerciseId: 'leg-press' })),
  },
  {
    way: 'an exercise that is in no library',
    rule: null,
    plan: only((exercise) => ({ ...exercise, exerciseId: 'juggling' })),
  },
  {
    way: 'an arm exercise under a thigh cuff',
    rule: null,
    plan: only((exercise) => ({ ...exercise, exerciseId: 'biceps-curl' })),
  },
  {
    way: 'lying, on a pressure that was measured sitting',
    rule: 'LOP-5',
    plan: only((exercise) => ({ ...exercise, position: 'lying' })),
  },
  {
    way: 'rests that keep the leg occluded for more than 20 min',
    rule: 'PRO-1',
    plan: sets({ restMs: 360_000 }),
  },
  { way: 'a negative rest', rule: null, plan: sets({ restMs: -1 }) },
  { way: 'a rest of an hour', rule: null, plan: sets({ restMs: 3_600_000 }) },
  { way: 'sets of nothing', rule: null, plan: sets({ work: { kind: 'reps', reps: 0 } }) },
  { way: 'sets of half a repetition', rule: null, plan: sets({ work: { kind: 'reps', reps: 0.5 } }) },
  { way: 'sets of no time', rule: null, plan: sets({ work: { kind: 'timed', ms: 0 } }) },
  { way: 'a set above the target', rule: null, plan: sets({ ofTarget: 101 }) },
  { way: 'a set at nothing', rule: null, plan: sets({ ofTarget: 0 }) },
  { way: 'cycles of the cuff with a load', rule: 'PRS-9', plan: cycles({}) },
  {
    way: 'cycles of the cuff above what exercise may be done at',
    rule: 'PRS-3',
    plan: (_, client) => cycles(AT_REST)(prescriptionFor(client, { percentLop: 81 }) as NewPrescription),
  },
  {
    way: 'cycles of the cuff that count repetitions',
    rule: 'PRS-9',
    plan: only((exercise) => ({ ...exercise, ...AT_REST, protocolId: 'cycles' })),
  },
  {
    way: 'priming in steps that take for ever',
    rule: 'PRS-6',
    plan: only((exercise) => ({
      ...exercise,
      primed: true,
      priming: { start: { of: 'nothing', mmHg: 10 }, stepMmHg: 5, onMs: 30_000, offMs: 10_000 },
    })),
  },
  {
    way: 'priming without a step',
    rule: null,
    plan: only((exercise) => ({
      ...exercise,
      primed: true,
      priming: { start: { of: 'nothing', mmHg: 50 }, stepMmHg: 0, onMs: 30_000, offMs: 10_000 },
    })),
  },
  {
    way: 'a heart rate from above to below',
    rule: null,
    plan: only((exercise) => ({
      ...exercise,
      intensity: { by: 'heart-rate', lowPerMinute: 130, highPerMinute: 100 },
    })),
  },
  { way: 'no sets', rule: null, plan: only((exercise) => ({ ...exercise, sets: [] })) },
  {
    way: 'thirteen sets',
    rule: null,
    plan: only((exercise) => ({ ...exercise, sets: Array(13).fill(exercise.sets[0]) })),
  },
  { way: 'no exercise', rule: null, plan: (plan) => ({ ...plan, exercises: [] }) },
  {
    way: 'nine exercises',
    rule: null,
    plan: (plan) => ({ ...plan, exercises: Array(9).fill(plan.exercises[0]) }),
  },
  { way: 'no limb', rule: null, plan: only((exercise) => ({ ...exercise, limbs: [] })) },
  {
    way: 'one limb under two cuffs',
    rule: null,
    plan: only((exercise) => ({ ...exercise, limbs: [...exercise.limbs, ...exercise.limbs] })),
  },
  {
    way: 'three limbs at once',
    rule: null,
    plan: only((exercise) => ({
      ...exercise,
      limbs: [...exercise.limbs, ...exercise.limbs, ...exercise.limbs],
    })),
  },
  { way: 'an unknown school', rule: null, plan: (plan) => ({ ...plan, schoolId: 'no-limits' }) },
  {
    way: 'an unknown protocol',
    rule: null,
    plan: only((exercise) => ({ ...exercise, protocolId: 'until-it-hurts' })),
  },
  {
    way: 'moving work by a passive protocol, to get its higher pressure',
    rule: null,
    plan: (_, client) => prescriptionFor(client, { protocolId: 'passive-recovery', percentLop: 100 }),
  },
  {
    way: 'passive work with a load',
    rule: null,
    plan: (_, client) =>
      prescriptionFor(client, { exerciseId: 'passive-cuff-leg', protocolId: 'passive-recovery' }),
  },
  {
    way: 'passive work with repetitions',
    rule: null,
    plan: (plan) => ({
      ...plan,
      exercises: plan.exercises.map((exercise) => ({
        ...exercise,
        exerciseId: 'passive-cuff-leg',
        load: { kind: 'unweighed', with: 'limb weight only' },
      })),
    }),
  },
  ...[120, 250].map(
    (goneMmHg): WayToSign => ({
      way: `a pressure that was measured again since, at ${goneMmHg}`,
      rule: 'START-2',
      first: (api, client) => measureAgain(api, client, goneMmHg),
      plan: (plan) => plan,
    }),
  ),
  ...[10, 60].map(
    (loadKg): WayToSign => ({
      way: `a 1RM that was tested again since, with ${loadKg} kg`,
      rule: 'START-2',
      first: (api, client) => testAgain(api, client, loadKg),
      plan: (plan) => plan,
    }),
  ),
  {
    way: 'a pressure of another cuff width',
    rule: 'FIT-3',
    first: async (api, client) => {
      api.clock.nowMs += 1_000;
      await api.post(`/clients/${client.id}/fits`, { ...FIT, girthCm: 49, cuffId: 'thigh-small' });
    },
    plan: (plan) => plan,
  },
  ...[
    { canOcclude: false },
    { girthHighCm: 54 },
    { girthLowCm: 56 },
    { maxPressureMmHg: 60 },
    { limbKind: 'arm' },
    { widthCm: 13 },
  ].map(
    (change): WayToSign => ({
      way: `a cuff with ${JSON.stringify(change)}`,
      rule: null,
      first: (api) => api.post('/practice/kit', largeCuff(change)),
      plan: (plan) => plan,
    }),
  ),
  {
    way: 'a cuff that has been retired',
    rule: null,
    first: (api) => api.post('/practice/kit/retire', { list: 'cuffs', id: 'thigh-large' }),
    plan: (plan) => plan,
  },
  ...(
    [
      ['a cap of 30 %', { maxPercentLop: 30 }],
      ['arms only', { limbs: ['left-arm', 'right-arm'] }],
      ['passive work only', { modes: ['passive'] }],
      ['work without a load', { highestRung: 'isometric' }],
    ] as const
  ).map(
    ([what, limits]): WayToSign => ({
      way: `against a clearance for ${what}`,
      rule: 'SCR-2',
      first: async (api, client) => {
        await api.post(`/clients/${client.id}/screenings`, { ...CLEAR, yes: ['diabetes'] });
        await api.post(
          `/clients/${client.id}/clearances`,
          clearance(api.clock.nowMs, limits as Partial<NewClearance>),
        );
      },
      plan: (plan) => plan,
    }),
  ),
];
