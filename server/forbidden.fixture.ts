import { v4 as newId } from 'uuid';
import type { ClientRecord } from '#contract/client';
import type { NewClearance } from '#contract/measurements';
import type { KitItem, PracticeView } from '#contract/practice';
import type { SessionView } from '#contract/session';
import { reviewSession } from '#core/record';
import type { Change } from '#core/review';
import { ITEM_IDS, SCREEN_ITEMS } from '#core/screening';
import { fold, mergeLogs } from '#core/session';
import { logOf, START_MS } from '#core/session/session.fixture';
import {
  type Api,
  DAY_MS,
  LASTS_MS,
  measuredClient,
  OCCLUSION,
  prescriptionFor,
  TRIAL,
  WELL,
} from './api.fixture';

/** A person with every link good, a signed plan and a check of today. */
export type Ready = { client: ClientRecord; prescriptionId: string };

export async function ready(api: Api): Promise<Ready> {
  const client = await measuredClient(api);
  return signed(api, client);
}

export async function signed(api: Api, client: ClientRecord): Promise<Ready> {
  const record = await api.post(`/clients/${client.id}/prescriptions`, prescriptionFor(client));
  await api.post(`/clients/${client.id}/day-checks`, WELL);
  return { client: record, prescriptionId: record.facts.prescriptions.at(-1)?.id ?? '' };
}

/** A way to get a session opened that must stay shut, after what happens. Add more. */
/** The plan that is signed for them. */
export const planOf = ({ client }: Ready): string => client.facts.coursePlans[0]?.id ?? '';

export const at = (person: Ready, what: string): string => `/clients/${person.client.id}/${what}`;

export const clearance = (nowMs: number, changes: Partial<NewClearance> = {}): NewClearance => ({
  subjects: ['diabetes'],
  givenBy: 'Dr Test',
  byPhysician: true,
  givenAtMs: nowMs,
  untilMs: nowMs + 90 * DAY_MS,
  maxPercentLop: null,
  limbs: [],
  modes: [],
  highestRung: null,
  ranges: [],
  note: '',
  ...changes,
});

export const reading = (systolicMmHg: number, diastolicMmHg: number) => ({ systolicMmHg, diastolicMmHg });
export const pressures = (systolicMmHg: number, diastolicMmHg: number) => [
  reading(systolicMmHg, diastolicMmHg),
  reading(systolicMmHg, diastolicMmHg),
];
/** The left thigh measured again a second later. */
export async function measureAgain(api: Api, { id }: { id: string }, goneMmHg: number): Promise<void> {
  const trial = { ...TRIAL, goneMmHg, backMmHg: goneMmHg - 8 };
  api.clock.nowMs += 1_000;
  await api.post(`/clients/${id}/occlusion-pressures`, { ...OCCLUSION, trials: [trial, trial] });
}

/** Eight repetitions to failure on the left a second later. */
export async function testAgain(api: Api, { id }: { id: string }, loadKg: number): Promise<void> {
  const test = { exerciseId: 'knee-extension', side: 'left', loadKg, reps: 8 };
  api.clock.nowMs += 1_000;
  await api.post(`/clients/${id}/strength-tests`, test);
}

export const largeCuff = (changes: object): KitItem =>
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

/** Runs a whole session of this person, with these events in it and its review answered, and goes on to a later time. */
export async function train(
  api: Api,
  person: Ready,
  events: Parameters<typeof logOf>[0],
  laterMs: number,
  review: Change | 'unanswered' = {},
) {
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
  if (review !== 'unanswered') {
    const answers = await answersOf(api, view, review);
    await api.post(`/sessions/${view.id}/events`, { events: answers });
  }
  api.clock.nowMs += laterMs;
  return view;
}

/** What the review of a session says, as the server works it out. */
export async function advicesOf(api: Api, { id, clientId }: Pick<SessionView, 'id' | 'clientId'>) {
  const viewOf = (sessionId: string) => api.get<SessionView>(`/sessions/${sessionId}`);
  const foldedOf = ({ plan, events }: SessionView) => ({ plan, state: fold(plan, mergeLogs(events)) });
  const view = await viewOf(id);
  const before = view.idBefore === null ? null : foldedOf(await viewOf(view.idBefore));
  const { facts } = await api.get<ClientRecord>(`/clients/${clientId}`);
  const { weightKits } = await api.get<PracticeView>('/practice');
  const session = { ...foldedOf(view), painBefore: view.painBefore, before };
  return reviewSession(session, facts, weightKits, api.clock.nowMs);
}

/** Answers to a review that agree on a change, whatever it says. */
export async function answersOf(
  api: Api,
  view: Pick<SessionView, 'id' | 'clientId'>,
  change: Change,
  more: object = {},
) {
  const advices = await advicesOf(api, view);
  return advices.flatMap((advice, exerciseIndex) =>
    advice
      ? [
          {
            type: 'review-answered',
            exerciseIndex,
            rule: advice.rule,
            answer: 'edited',
            change,
            reason: 'As we agreed',
            id: newId(),
            sessionId: view.id,
            deviceId: 'plinth',
            seq: 100 + exerciseIndex,
            atMs: api.clock.nowMs - 500,
            ...more,
          },
        ]
      : [],
  );
}

/** A whole session, an hour ago. */
export const trainToday = (api: Api, person: Ready) => train(api, person, [], 3_600_000);

export const followUp = (changes: object) => ({
  soreness: 2,
  bruising: 'none',
  pinpointBleeding: false,
  numbness: false,
  ...changes,
});

export async function answerDayAfter(api: Api, view: SessionView, changes: object) {
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

export const ofLevel = (level: 'stop' | 'clear') => ITEM_IDS.filter((id) => SCREEN_ITEMS[id].level === level);
