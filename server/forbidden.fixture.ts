import { v4 as newId } from 'uuid';
import type { ClientRecord } from '#contract/client';
import type { NewClearance } from '#contract/measurements';
import type { KitItem } from '#contract/practice';
import type { NewPrescription } from '#contract/prescription';
import type { SessionView } from '#contract/session';
import type { ExerciseChoice, LoadChoice } from '#core/plan/choices';
import type { RuleId } from '#core/rules/catalogue';
import { DAY_SIGNS, daySignSchema } from '#core/screening/day-check';
import { SCREEN_ITEMS } from '#core/screening/items';
import { ITEM_IDS } from '#core/screening/screening';
import { logOf, START_MS } from '#core/session/session.fixture';
import { SIGNS, signIdSchema } from '#core/session/signs';
import {
  type Api,
  CLEAR,
  DAY_MS,
  FIT,
  LASTS_MS,
  measuredClient,
  OCCLUSION,
  prescriptionFor,
  TRIAL,
  WELL,
} from './api.fixture';

/** Somebody with every link good, a signed plan and a check of today. */
export type Ready = { client: ClientRecord; prescriptionId: string };

export async function ready(api: Api): Promise<Ready> {
  const client = await measuredClient(api);
  return signed(api, client);
}

async function signed(api: Api, client: ClientRecord): Promise<Ready> {
  const record = await api.post(`/clients/${client.id}/prescriptions`, prescriptionFor(client));
  await api.post(`/clients/${client.id}/day-checks`, WELL);
  return { client: record, prescriptionId: record.facts.prescriptions.at(-1)?.id ?? '' };
}

/** A way to get a session opened that must stay shut, after what happens. Add more. */
export type WayToOpen = {
  way: string;
  rule: RuleId | null;
  happens: (api: Api, person: Ready) => Promise<unknown>;
};

const at = (person: Ready, what: string): string => `/clients/${person.client.id}/${what}`;

export const clearance = (nowMs: number, changes: Partial<NewClearance> = {}): NewClearance => ({
  subjects: ['diabetes'],
  givenBy: 'Dr Test',
  byPhysician: true,
  givenAtMs: nowMs,
  untilMs: nowMs + 90 * DAY_MS,
  maxPercentLop: null,
  limbs: [],
  modes: [],
  note: '',
  ...changes,
});

const reading = (systolicMmHg: number, diastolicMmHg: number) => ({ systolicMmHg, diastolicMmHg });
const pressures = (systolicMmHg: number, diastolicMmHg: number) => [
  reading(systolicMmHg, diastolicMmHg),
  reading(systolicMmHg, diastolicMmHg),
];
/** The left thigh measured anew a second later. */
export async function measureAgain(api: Api, { id }: { id: string }, goneMmHg: number): Promise<void> {
  const trial = { ...TRIAL, goneMmHg, backMmHg: goneMmHg - 8 };
  api.clock.nowMs += 1_000;
  await api.post(`/clients/${id}/occlusion-pressures`, { ...OCCLUSION, trials: [trial, trial] });
}

/** Eight repetitions to failure on the left a second later. */
async function testAgain(api: Api, { id }: { id: string }, loadKg: number): Promise<void> {
  const test = { exerciseId: 'knee-extension', side: 'left', loadKg, reps: 8 };
  api.clock.nowMs += 1_000;
  await api.post(`/clients/${id}/strength-tests`, test);
}

const largeCuff = (changes: object): KitItem =>
  ({
    list: 'cuffs',
    item: {
      id: 'thigh-large',
      label: 'thigh-large',
      limbKind: 'leg',
      widthCm: 11.5,
      girthLowCm: 48,
      girthHighCm: 72,
      shape: 'straight',
      bladder: 'single',
      canOcclude: true,
      maxPressureMmHg: 300,
      ...changes,
    },
  }) as KitItem;

/** Runs a whole session of this person, with these events in it, and goes on to a later time. */
async function train(api: Api, person: Ready, events: Parameters<typeof logOf>[0], laterMs: number) {
  const view = await api.post<SessionView>('/sessions', {
    id: newId(),
    prescriptionId: person.prescriptionId,
  });
  const fromMs = api.clock.nowMs;
  api.clock.nowMs += LASTS_MS;
  const set = { exerciseIndex: 0, setIndex: 0 };
  const log = logOf([
    [0, { type: 'session-started' }],
    [5, { type: 'cuff-inflated', limb: 'left-thigh', pressureMmHg: 68 }],
    [25, { type: 'set-started', ...set }],
    [85, { type: 'set-ended', ...set, reps: 30, reason: 'done' }],
    ...events,
    [200, { type: 'cuff-released', limb: 'left-thigh' }],
    [300, { type: 'session-finished' }],
  ]).map((event) => ({
    ...event,
    id: newId(),
    sessionId: view.id,
    atMs: fromMs + event.atMs - START_MS,
  }));
  await api.post(`/sessions/${view.id}/events`, { events: log });
  api.clock.nowMs += laterMs;
  return view;
}

/** A whole session, an hour ago. */
export const trainToday = (api: Api, person: Ready) => train(api, person, [], 3_600_000);

const followUp = (changes: object) => ({
  soreness: 2,
  bruising: 'none',
  pinpointBleeding: false,
  numbness: false,
  ...changes,
});

async function answerDayAfter(api: Api, view: SessionView, changes: object) {
  const event = {
    ...followUp(changes),
    id: newId(),
    sessionId: view.id,
    deviceId: 'desk',
    seq: 1,
    atMs: api.clock.nowMs - 1_000,
    type: 'followed-up',
  };
  await api.post(`/sessions/${view.id}/events`, { events: [event] });
}

const ofLevel = (level: 'stop' | 'clear') => ITEM_IDS.filter((id) => SCREEN_ITEMS[id].level === level);

export const WAYS_TO_OPEN: WayToOpen[] = [
  ...[...ofLevel('stop'), ...ofLevel('clear')].map(
    (item): WayToOpen => ({
      way: `${item} found by a later screening`,
      rule: null,
      happens: (api, person) => api.post(at(person, 'screenings'), { ...CLEAR, yes: [item] }),
    }),
  ),
  ...ofLevel('stop').map(
    (item): WayToOpen => ({
      way: `${item} found, and answered no by a coach the day after`,
      rule: null,
      happens: async (api, person) => {
        await api.post(at(person, 'screenings'), { ...CLEAR, yes: [item] });
        api.clock.nowMs += DAY_MS;
        await api.post(at(person, 'screenings'), CLEAR, 'colin');
        await api.post(at(person, 'day-checks'), WELL);
      },
    }),
  ),
  ...daySignSchema.options
    .filter((sign) => DAY_SIGNS[sign].holds)
    .flatMap((sign): WayToOpen[] => [
      {
        way: `${sign} in the check of today`,
        rule: 'SCR-3',
        happens: (api, person) => api.post(at(person, 'day-checks'), { ...WELL, notWell: [sign] }),
      },
      {
        way: `${sign} in the check of today, and a good one after it`,
        rule: null,
        happens: async (api, person) => {
          await api.post(at(person, 'day-checks'), { ...WELL, notWell: [sign] });
          api.clock.nowMs += 60_000;
          await api.post(at(person, 'day-checks'), WELL, 'colin');
        },
      },
    ]),
  ...signIdSchema.options
    .filter((sign) => SIGNS[sign].level !== 'expected')
    .flatMap((sign): WayToOpen[] => [
      {
        way: `${sign} in a session of today`,
        rule: null,
        happens: (api, person) => train(api, person, [[90, { type: 'sign-noted', sign }]], 3_600_000),
      },
      {
        way: `${sign} two days ago, the day after asked, a good check today`,
        rule: null,
        happens: async (api, person) => {
          const view = await train(api, person, [[90, { type: 'sign-noted', sign }]], 2 * DAY_MS);
          await answerDayAfter(api, view, {});
          await api.post(at(person, 'day-checks'), WELL);
        },
      },
    ]),
  ...[{ numbness: true }, { bruising: 'wide' }, { urgent: ['dark-urine'] }, { urgent: ['swollen-limb'] }].map(
    (said): WayToOpen => ({
      way: `${JSON.stringify(said)} said the day after`,
      rule: 'RUN-6',
      happens: async (api, person) => {
        const view = await train(api, person, [], 2 * DAY_MS);
        await answerDayAfter(api, view, said);
        await api.post(at(person, 'day-checks'), WELL);
      },
    }),
  ),
  {
    way: 'the day after never asked',
    rule: 'RUN-6',
    happens: async (api, person) => {
      await train(api, person, [], 2 * DAY_MS);
      await api.post(at(person, 'day-checks'), WELL);
    },
  },
  {
    way: 'the same limb twice on one day',
    rule: null,
    happens: trainToday,
  },
  ...[
    [186, 90],
    [150, 112],
    [160, 90],
    [140, 100],
  ].map(
    ([systolicMmHg = 0, diastolicMmHg = 0]): WayToOpen => ({
      way: `a blood pressure of ${systolicMmHg}/${diastolicMmHg} today`,
      rule: 'SCR-3',
      happens: (api, person) =>
        api.post(at(person, 'day-checks'), { ...WELL, bloodPressure: reading(systolicMmHg, diastolicMmHg) }),
    }),
  ),
  {
    way: 'a resting blood pressure of 182/104 in a later screening',
    rule: null,
    happens: (api, person) =>
      api.post(at(person, 'screenings'), { yes: [], bloodPressures: pressures(182, 104) }),
  },
  {
    way: 'a check of yesterday',
    rule: 'SCR-3',
    happens: async (api) => {
      api.clock.nowMs += DAY_MS;
    },
  },
  {
    way: 'a screening of thirteen weeks ago',
    rule: null,
    happens: async (api, person) => {
      api.clock.nowMs += 92 * DAY_MS;
      await api.post(at(person, 'day-checks'), WELL);
    },
  },
  {
    way: 'a pressure past its shelf life',
    rule: null,
    happens: async (api, person) => {
      api.clock.nowMs += 30 * DAY_MS;
      await api.post(at(person, 'day-checks'), WELL);
    },
  },
  {
    way: 'a strength test of seven weeks ago',
    rule: null,
    happens: async (api, person) => {
      api.clock.nowMs += 43 * DAY_MS;
      await api.post(at(person, 'fits'), FIT);
      await api.post(at(person, 'occlusion-pressures'), OCCLUSION);
      await api.post(at(person, 'day-checks'), WELL);
    },
  },
  ...[120, 160, 250].map(
    (goneMmHg): WayToOpen => ({
      way: `a pressure measured since, at ${goneMmHg}`,
      rule: null,
      happens: (api, { client }) => measureAgain(api, client, goneMmHg),
    }),
  ),
  {
    way: 'a quick check further off than 10 mmHg',
    rule: null,
    happens: async (api, person) => {
      api.clock.nowMs += 1_000;
      const occlusionId = person.client.facts.occlusions[0]?.id;
      await api.post(at(person, 'quick-checks'), { occlusionId, goneMmHg: 210, upMmHg: 10 });
    },
  },
  ...[10, 20, 60].map(
    (loadKg): WayToOpen => ({
      way: `a 1RM tested since, with ${loadKg} kg`,
      rule: null,
      happens: (api, { client }) => testAgain(api, client, loadKg),
    }),
  ),
  {
    way: 'a cuff of another width fitted since',
    rule: null,
    happens: async (api, person) => {
      api.clock.nowMs += 1_000;
      await api.post(at(person, 'fits'), { ...FIT, girthCm: 49, cuffId: 'thigh-small' });
    },
  },
  {
    way: 'a strap fitted since',
    rule: null,
    happens: async (api, person) => {
      api.clock.nowMs += 1_000;
      await api.post(at(person, 'fits'), {
        kind: 'strap',
        limb: 'left-thigh',
        girthCm: 55,
        strapId: 'strap',
      });
    },
  },
  {
    way: 'a girth that has grown by more than the cuff allows',
    rule: null,
    happens: async (api, person) => {
      await api.post('/practice/kit', largeCuff({ girthHighCm: 54 }));
      await api.post(at(person, 'day-checks'), WELL);
    },
  },
  {
    way: 'a cuff that has been retired',
    rule: null,
    happens: (api) => api.post('/practice/kit/retire', { list: 'cuffs', id: 'thigh-large' }),
  },
  {
    way: 'a cuff that cannot occlude any more',
    rule: 'FIT-2',
    happens: (api) => api.post('/practice/kit', largeCuff({ canOcclude: false })),
  },
  {
    way: 'a cuff whose width was corrected',
    rule: null,
    happens: (api) => api.post('/practice/kit', largeCuff({ widthCm: 13 })),
  },
  {
    way: 'a cuff made for arms',
    rule: null,
    happens: (api) => api.post('/practice/kit', largeCuff({ limbKind: 'arm' })),
  },
  {
    way: 'a cuff that holds less than the target',
    rule: 'FIT-2',
    happens: (api) => api.post('/practice/kit', largeCuff({ maxPressureMmHg: 60 })),
  },
  ...(
    [
      ['a cap under the plan', { maxPercentLop: 30 }],
      ['other limbs', { limbs: ['left-arm'] }],
      ['the other leg', { limbs: ['right-thigh'] }],
      ['passive work only', { modes: ['passive'] }],
      ['aerobic work only', { modes: ['aerobic'] }],
    ] as const
  ).map(
    ([what, limits]): WayToOpen => ({
      way: `a clearance recorded later, for ${what}`,
      rule: 'SCR-2',
      happens: async (api, person) => {
        api.clock.nowMs += 1_000;
        await api.post(at(person, 'clearances'), clearance(api.clock.nowMs, limits as Partial<NewClearance>));
      },
    }),
  ),
  {
    way: 'a clearance that has run out',
    rule: null,
    happens: async (api, person) => {
      await api.post(at(person, 'screenings'), { ...CLEAR, yes: ['diabetes'] });
      await api.post(
        at(person, 'clearances'),
        clearance(api.clock.nowMs, { untilMs: api.clock.nowMs + DAY_MS }),
      );
      api.clock.nowMs += 2 * DAY_MS;
      await api.post(at(person, 'day-checks'), WELL);
    },
  },
  {
    way: 'a clearance for something else',
    rule: null,
    happens: async (api, person) => {
      await api.post(at(person, 'screenings'), { ...CLEAR, yes: ['anticoagulants'] });
      await api.post(at(person, 'clearances'), clearance(api.clock.nowMs));
    },
  },
  {
    way: 'a plan that a newer one has replaced',
    rule: null,
    happens: async (api, person) => {
      api.clock.nowMs += 1_000;
      await api.post(at(person, 'prescriptions'), prescriptionFor(person.client, { percentLop: 38 }));
    },
  },
  {
    way: 'while another session is open',
    rule: null,
    happens: (api, person) => api.post('/sessions', { id: newId(), prescriptionId: person.prescriptionId }),
  },
];

/** A way to get a plan signed that nobody may, whatever the reason. Add more. */
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
  { way: 'a pressure that is nobody’s', rule: null, plan: limbs({ occlusionId: 'nobody’s' }) },
  { way: 'a strap that is not in the kit', rule: null, plan: limbs({ kind: 'by-feel', strapId: 'none' }) },
  { way: 'a test that is nobody’s', rule: null, plan: load({ strengthTestId: 'nobody’s' }) },
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
    ] as const
  ).map(
    ([what, limits]): WayToSign => ({
      way: `against a clearance for ${what}`,
      rule: 'SCR-2',
      first: (api, client) =>
        api.post(
          `/clients/${client.id}/clearances`,
          clearance(api.clock.nowMs, limits as Partial<NewClearance>),
        ),
      plan: (plan) => plan,
    }),
  ),
];
