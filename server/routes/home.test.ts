import { v4 as newId } from 'uuid';
import { expect, it } from 'vitest';
import type { ClientRecord, PeoplePage } from '#contract/client';
import { HOME_HEADER, type HomeLink, type HomeSheet, type MadeHomeLink } from '#contract/home';
import type { SessionView } from '#contract/session';
import { waitsToBeSeen } from '#core/record';
import { RULES } from '#core/rules';
import { correctedReps, type EventBody, type SessionEvent } from '#core/session';
import { foldAll } from '#core/session/session.fixture';
import { englishOf } from '#language/english-of.fixture';
import { type Api, CLEAR, DAY_MS, prescriptionFor, startApi, WELL, type Who } from '../api.fixture';
import { at, planOf, type Ready, ready } from '../forbidden.fixture';

const HOUR_MS = 3_600_000;

/** A link for the plan of a person who is ready, made by a coach. */
async function linked(api: Api, who: Who = 'colin') {
  const person = await ready(api);
  const made = await api.post<MadeHomeLink>(
    at(person, 'home-links'),
    { coursePlanId: planOf(person), weeks: 4 },
    who,
  );
  return { person, made, secret: made.path.split('#')[1] ?? '' };
}

async function call<T = unknown>(api: Api, secret: string, report?: unknown) {
  const answer = await api.ask('/home', {
    headers: { [HOME_HEADER]: secret },
    ...(report === undefined ? {} : { method: 'POST', body: JSON.stringify(report) }),
  });
  return { status: answer.status, body: (await answer.json()) as T };
}

/** The log of a session at home of two sets, begun so long ago; what a page writes. */
function homeLog(id: string, startMs: number, more: [number, EventBody][] = []): SessionEvent[] {
  const place = (setIndex: number) => ({ exerciseIndex: 0, setIndex });
  const bodies: [number, EventBody][] = [
    [0, { type: 'session-started', byClient: true }],
    [5, { type: 'cuff-inflated', limb: 'left-thigh', pressureMmHg: 68 }],
    [20, { type: 'set-started', ...place(0) }],
    [80, { type: 'set-ended', ...place(0), reps: 30, reason: 'done' }],
    [85, { type: 'set-noted', ...place(0), effort: 6, jointPain: 1 }],
    [110, { type: 'set-started', ...place(1) }],
    [140, { type: 'set-ended', ...place(1), reps: 12, reason: 'failure' }],
    ...more,
    [150, { type: 'cuff-released', limb: 'left-thigh' }],
    [160, { type: 'session-finished' }],
  ];
  return bodies.map(
    ([afterS, body], seq) =>
      ({
        ...body,
        id: newId(),
        sessionId: id,
        deviceId: 'a phone',
        seq,
        atMs: startMs + afterS * 1_000,
      }) as SessionEvent,
  );
}

const sessionOf = (sheet: HomeSheet, startMs: number, more: [number, EventBody][] = []) => {
  const id = newId();
  return { kind: 'session', id, prescriptionId: sheet.prescriptionId, events: homeLog(id, startMs, more) };
};

it('shows one plan to anyone who has the secret, and neither a name nor anything else', async () => {
  const api = await startApi();
  const { person, made, secret } = await linked(api);
  const { status, body } = await call<HomeSheet>(api, secret);
  expect(status).toBe(200);
  expect(englishOf(body)).toMatchObject({
    planName: 'Lower day',
    held: null,
    askAfter: null,
    untilMs: made.untilMs,
  });
  expect(body.plan.exercises).toHaveLength(1);
  expect(body.asks).not.toContain('joint');
  expect(JSON.stringify(body)).not.toContain(person.client.name);
  expect(JSON.stringify(await api.sql('select * from home_link'))).not.toContain(secret);
  for (const wrong of ['', 'guessed', made.id]) expect((await call(api, wrong)).status).toBe(404);
  const [audit] = await api.sql("select practitioner_id, detail from audit where action = 'home-link-made'");
  expect([audit?.practitioner_id, audit?.detail?.includes(secret)]).toEqual(['colin', false]);
});

it('takes a session as it was done, once, marked, and raises nothing before it was seen', async () => {
  const api = await startApi();
  const { person, secret } = await linked(api);
  const { body: sheet } = await call<HomeSheet>(api, secret);
  api.clock.nowMs += DAY_MS;
  const report = sessionOf(sheet, api.clock.nowMs - HOUR_MS);
  expect((await call(api, secret, report)).status).toBe(201);
  // A page that got no answer sends it again.
  expect((await call(api, secret, report)).status).toBe(200);
  const view = await api.get<SessionView>(`/sessions/${report.id}`);
  const state = foldAll(view.plan, view.events);
  expect([state.byClient, state.sets.map((set) => correctedReps(set))]).toEqual([true, [30, 12]]);
  const record = await api.get<ClientRecord>(`/clients/${person.client.id}`);
  expect(record.facts.sessions).toMatchObject([{ reviewed: false }]);
  // What its review says is inside what was signed: the plan moves by itself (rule CRS-3).
  expect(englishOf(record.chain.find((link) => link.id === 'prescribe')?.figure)).toBe('68 mmHg');
  expect(waitsToBeSeen(record.facts, { coursePlanId: planOf(person) })).toBe(true);
  const links = await api.get<HomeLink[]>(at(person, 'home-links'));
  expect(links).toMatchObject([{ sessions: 1 }]);
});

it('holds by what is report: a red sign, the day, the day after', async () => {
  const ways: [RegExp, (sheet: HomeSheet, nowMs: number) => object][] = [
    [
      /^Dizzy in the last session: until a clinician lifts it/,
      (sheet, nowMs) => sessionOf(sheet, nowMs - HOUR_MS, [[145, { type: 'sign-noted', sign: 'dizzy' }]]),
    ],
    [
      /[Ff]ever/,
      (_, nowMs) => ({ kind: 'check', id: newId(), atMs: nowMs, answers: { ...WELL, notWell: ['fever'] } }),
    ],
  ];
  for (const [held, report] of ways) {
    const api = await startApi();
    const { person, secret } = await linked(api);
    const { body: sheet } = await call<HomeSheet>(api, secret);
    api.clock.nowMs += DAY_MS;
    const one = report(sheet, api.clock.nowMs);
    expect((await call(api, secret, one)).status).toBe(201);
    const { chain } = await api.get<ClientRecord>(`/clients/${person.client.id}`);
    expect(chain.find(({ id }) => id === 'screen')?.state).toBe('held');
    expect(englishOf((await call<HomeSheet>(api, secret)).body.held)).toMatch(held);
  }
});

it('asks for the blood pressure that a check here would need', async () => {
  const api = await startApi();
  const { person, secret } = await linked(api);
  await api.post(at(person, 'screenings'), { ...CLEAR, yes: ['hypertension-treated'] });
  expect((await call<HomeSheet>(api, secret)).body.asksBloodPressure).toBe(true);
  const check = { kind: 'check', id: newId(), atMs: api.clock.nowMs, answers: WELL };
  expect((await call(api, secret, check)).status).toBe(422);
  const bloodPressure = { systolicMmHg: 128, diastolicMmHg: 80 };
  const measured = { ...check, answers: { ...WELL, bloodPressure } };
  expect((await call(api, secret, measured)).status).toBe(201);
});

it('asks how it was the day after, and holds for what is said', async () => {
  const api = await startApi();
  const { person, secret } = await linked(api);
  const { body: sheet } = await call<HomeSheet>(api, secret);
  api.clock.nowMs += HOUR_MS;
  const report = sessionOf(sheet, api.clock.nowMs - HOUR_MS / 2);
  await call(api, secret, report);
  api.clock.nowMs += DAY_MS;
  expect((await call<HomeSheet>(api, secret)).body.askAfter).toBe(report.id);
  const answers = { soreness: 3, bruising: 'wide', pinpointBleeding: false, numbness: false };
  const after = { kind: 'after', id: newId(), sessionId: report.id, atMs: api.clock.nowMs, answers };
  expect([(await call(api, secret, after)).status, (await call(api, secret, after)).status]).toEqual([
    201, 200,
  ]);
  expect((await call<HomeSheet>(api, secret)).body.askAfter).toBeNull();
  const { chain } = await api.get<ClientRecord>(`/clients/${person.client.id}`);
  expect(chain.find(({ id }) => id === 'screen')?.state).toBe('held');
});

it('refuses what no page of its plan would tell', async () => {
  const api = await startApi();
  const { secret } = await linked(api);
  const { person: other } = await linked(api);
  const { body: sheet } = await call<HomeSheet>(api, secret);
  api.clock.nowMs += DAY_MS;
  const startMs = api.clock.nowMs - HOUR_MS;
  const good = sessionOf(sheet, startMs);
  const withEvents = (change: (events: SessionEvent[]) => unknown[]) => ({
    ...good,
    events: change(good.events),
  });
  const ahead = RULES['RUN-9'].figures.afterReceiptMs + 1_000;
  const REFUSED: [number, unknown][] = [
    [404, { ...good, prescriptionId: other.prescriptionId }],
    [
      422,
      withEvents((events) =>
        events.map((one) => (one.type === 'session-started' ? { ...one, byClient: undefined } : one)),
      ),
    ],
    [422, withEvents((events) => events.slice(0, -1))],
    [
      422,
      withEvents((events) => [
        ...events,
        {
          ...events[0],
          id: newId(),
          seq: 99,
          type: 'review-answered',
          exerciseIndex: 0,
          rule: 'REV-6',
          change: {},
          answer: 'accepted',
          reason: '',
        },
      ]),
    ],
    [422, { ...good, id: newId() }],
    [422, sessionOf(sheet, api.clock.nowMs + ahead)],
    [410, sessionOf(sheet, startMs - 30 * DAY_MS)],
    [
      404,
      {
        kind: 'after',
        id: newId(),
        sessionId: newId(),
        atMs: startMs,
        answers: { soreness: 0, bruising: 'none', pinpointBleeding: false, numbness: false },
      },
    ],
    [400, { kind: 'hold-lifted' }],
  ];
  const statuses: number[] = [];
  for (const [, report] of REFUSED) statuses.push((await call(api, secret, report)).status);
  expect(statuses).toEqual(REFUSED.map(([status]) => status));
  expect(await api.sql('select id from session')).toEqual([]);
  expect((await call(api, secret, good)).status).toBe(201);
});

it('fills no record in wrong hands: so many checks a day, and one answer of the day after', async () => {
  const api = await startApi();
  const { secret } = await linked(api);
  const { body: sheet } = await call<HomeSheet>(api, secret);
  api.clock.nowMs += DAY_MS;
  const statuses: number[] = [];
  for (let place = 0; place < 10; place += 1) {
    const check = { kind: 'check', id: newId(), atMs: api.clock.nowMs, answers: WELL };
    statuses.push((await call(api, secret, check)).status);
  }
  expect(statuses).toEqual([...Array(8).fill(201), 422, 422]);
  const report = sessionOf(sheet, api.clock.nowMs - HOUR_MS);
  await call(api, secret, report);
  const answers = { soreness: 1, bruising: 'none', pinpointBleeding: false, numbness: false };
  const after = () => ({ kind: 'after', id: newId(), sessionId: report.id, atMs: api.clock.nowMs, answers });
  expect([(await call(api, secret, after())).status, (await call(api, secret, after())).status]).toEqual([
    201, 200,
  ]);
});

it('is over when it was ended, and when its time has come; what was done before still comes in', async () => {
  const api = await startApi();
  const { person, made, secret } = await linked(api);
  const { body: sheet } = await call<HomeSheet>(api, secret);
  api.clock.nowMs += DAY_MS;
  const before = sessionOf(sheet, api.clock.nowMs - HOUR_MS);
  expect((await api.refused(at(person, `home-links/${made.id}/end`), {}, 'aske')).status).toBe(403);
  await api.post(at(person, `home-links/${made.id}/end`), {}, 'lena');
  api.clock.nowMs += 2 * HOUR_MS;
  expect((await call(api, secret)).status).toBe(410);
  expect((await call(api, secret, sessionOf(sheet, api.clock.nowMs - HOUR_MS / 2))).status).toBe(410);
  expect((await call(api, secret, before)).status).toBe(201);
  const later = await linked(api);
  api.clock.nowMs += 29 * DAY_MS;
  expect((await call(api, later.secret)).status).toBe(410);
});

it('passes no guard, and goes with the person who is forgotten', async () => {
  const api = await startApi();
  const { person, secret } = await linked(api, 'clara');
  const heavier = {
    ...prescriptionFor(person.client as Ready['client']),
    signedFor: { kind: 'next-version', coursePlanId: planOf(person) },
  };
  await api.post(at(person, 'prescriptions'), heavier);
  const { body: sheet } = await call<HomeSheet>(api, secret);
  expect(sheet.held).toBeNull();
  // Twice within a day is a guard, which only a clinician passes, and not at home.
  api.clock.nowMs += HOUR_MS;
  const done = sessionOf(sheet, api.clock.nowMs - HOUR_MS / 2);
  await call(api, secret, done);
  expect(englishOf((await call<HomeSheet>(api, secret)).body.held)).toMatch(/24 h/);
  const erased = await api.call(
    'POST',
    at(person, 'erasure'),
    { reason: 'Asked for it', name: person.client.name },
    'clara',
  );
  expect(erased.status).toBeLessThan(300);
  expect(await api.sql('select id from home_link')).toEqual([]);
  expect((await call(api, secret)).status).toBe(404);
});

it('reports chest pain at once: the emergency number first, and the practice before anything else (RUN-6)', async () => {
  const api = await startApi();
  const { person, secret } = await linked(api);
  const { body: sheet } = await call<HomeSheet>(api, secret);
  expect(englishOf(sheet)).toMatchObject({ practice: { emergencyPhone: '112' }, isEmergency: false });
  const lineOf = async () =>
    (await api.get<PeoplePage>('/clients')).people.find(({ id }) => id === person.client.id)?.emergency;
  expect(await lineOf()).toBeNull();
  api.clock.nowMs += DAY_MS;
  const report = sessionOf(sheet, api.clock.nowMs - HOUR_MS, [
    [145, { type: 'sign-noted', sign: 'chest-pain' }],
  ]);
  const noted = report.events.find(({ type }) => type === 'sign-noted');
  const sign = {
    kind: 'sign',
    id: noted?.id,
    sessionId: report.id,
    atMs: api.clock.nowMs,
    sign: 'chest-pain',
  };
  api.clock.nowMs += DAY_MS / 24;
  expect([(await call(api, secret, sign)).status, (await call(api, secret, sign)).status]).toEqual([
    201, 200,
  ]);
  expect(englishOf(await lineOf())).toEqual({
    words: 'Chest pain in the last session',
    atMs: api.clock.nowMs,
  });
  const { body: after } = await call<HomeSheet>(api, secret);
  expect(englishOf([after.isEmergency, after.held])).toEqual([true, expect.stringContaining('Chest pain')]);
  // The session comes later with the same sign, and holds no second time.
  expect((await call(api, secret, report)).status).toBe(201);
  const { facts } = await api.get<ClientRecord>(`/clients/${person.client.id}`);
  expect(englishOf(facts.holds.map(({ words, isEmergency }) => [words, isEmergency]))).toEqual([
    ['Chest pain in the last session', true],
  ]);
  // Dizzy holds, and is no emergency; no one can fill a record with signs.
  const statuses: number[] = [];
  for (let place = 0; place < 9; place += 1)
    statuses.push((await call(api, secret, { ...sign, id: newId(), sign: 'dizzy' })).status);
  expect(statuses.filter((status) => status === 201)).toHaveLength(7);
  expect(statuses.at(-1)).toBe(422);
});
