import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { ClientRecord } from '#contract/client';
import type { SessionView } from '#contract/session';
import type { Plan } from '#core/plan';
import type { SessionEvent } from '#core/session';
import { foldAll as fold, logOf, WHOLE_SESSION } from '#core/session/session.fixture';
import { englishOf } from '#language/english-of.fixture';
import {
  CLEAR,
  DAY_MS,
  measuredClient,
  NOON_MS,
  nextVersion,
  openSession,
  prescriptionFor,
  SESSION_ID,
  startAfter,
  WELL,
} from '../api.fixture';

const LOG = logOf(WHOLE_SESSION);
const EVENTS = `/sessions/${SESSION_ID}/events`;

describe('the lanes of the floor (RUN-9)', () => {
  const open = async (api: Awaited<ReturnType<typeof startAfter>>['api'], id: string) => {
    const client = await measuredClient(api);
    const { facts } = await api.post(`/clients/${client.id}/prescriptions`, prescriptionFor(client));
    await api.post(`/clients/${client.id}/day-checks`, WELL);
    return api.post<SessionView>('/sessions', { id, prescriptionId: facts.prescriptions[0]?.id });
  };
  const idOf = (place: number) => `00000000-0000-4000-8000-0000000000f${place}`;

  it('are kept while a session runs; one that is finished leaves its lane to the next that begins', async () => {
    const { api } = await startAfter(openSession);
    const second = await open(api, idOf(2));
    const third = await open(api, idOf(3));
    expect([second.lane, third.lane]).toEqual([2, 3]);
    await api.post(EVENTS, { events: LOG });
    const lanes = async () => (await api.get<SessionView[]>('/sessions/open')).map(({ lane }) => lane);
    expect((await lanes()).toSorted()).toEqual([2, 3]);
    expect((await open(api, idOf(4))).lane).toBe(1);
    expect((await open(api, idOf(5))).lane).toBe(4);
    expect((await lanes()).toSorted()).toEqual([1, 2, 3, 4]);
  });

  it('are run by who works on the device, and by no other in their name', async () => {
    const { api } = await startAfter(openSession);
    const [started] = LOG;
    const forged = { ...started, practitionerId: 'colin' };
    const { status, problem } = await api.refused(EVENTS, { events: [forged] });
    expect([status, problem.errors[0]?.path]).toEqual([403, 'events.0.practitionerId']);
    await api.post(EVENTS, { events: [{ ...started, practitionerId: 'clara' }] });
  });
});

describe('the event log', () => {
  it('keeps a session through a restart, and folds to the same state', async () => {
    const {
      api,
      made: { plan },
    } = await startAfter(openSession);
    await api.post(EVENTS, { events: LOG.slice(0, 9) });
    await api.restart();
    const [open] = await api.get<SessionView[]>('/sessions/open');
    expect(open?.events).toEqual(LOG.slice(0, 9));
    expect(fold(plan, open?.events ?? [])).toEqual(fold(plan, LOG.slice(0, 9)));
    await api.post(EVENTS, { events: LOG.slice(9) });
    expect(await api.get<SessionView[]>('/sessions/open')).toEqual([]);
    const kept = await api.get<SessionView>(`/sessions/${SESSION_ID}`);
    expect(fold(plan, kept.events).sets.map((set) => (set.countedReps ?? 0) + set.correctedBy)).toEqual([
      30, 15, 15, 13,
    ]);
  });

  it('takes each event once, in whatever batches, order and repetition it arrives', async () => {
    const { api } = await startAfter(openSession);
    const [shuffled] = fc.sample(fc.shuffledSubarray([...LOG, ...LOG], { minLength: 2 * LOG.length }), {
      numRuns: 1,
      seed: 7,
    });
    for (let at = 0; at < (shuffled?.length ?? 0); at += 5) {
      await api.post(EVENTS, { events: shuffled?.slice(at, at + 5) });
    }
    const kept = await api.get<SessionView>(`/sessions/${SESSION_ID}`);
    expect(kept.events).toEqual(LOG);
  });

  it('refuses a batch with a stray event whole', async () => {
    const { api } = await startAfter(openSession);
    const stray = { ...LOG[1], sessionId: '00000000-0000-4000-8000-00000000000f' };
    const { status, problem } = await api.refused(EVENTS, { events: [LOG[0], stray] });
    expect(status).toBe(400);
    expect(problem.errors[0]?.path).toBe('events.1.sessionId');
    expect((await api.get<SessionView>(`/sessions/${SESSION_ID}`)).events).toEqual([]);
  });

  it('refuses a second event under the same sequence number of a device', async () => {
    const { api } = await startAfter(openSession);
    await api.post(EVENTS, { events: [LOG[0]] });
    const clash = { ...(LOG[1] as SessionEvent), seq: 0 };
    const { status, problem } = await api.refused(EVENTS, { events: [clash] });
    expect(status).toBe(409);
    expect(problem.detail).toContain('sequence');
  });

  it('cannot be changed or emptied afterwards', async () => {
    const { api } = await startAfter(openSession);
    await api.post(EVENTS, { events: LOG });
    await expect(api.sql('delete from session_event')).rejects.toThrow('append-only');
    await expect(api.sql('update session_event set seq = 99')).rejects.toThrow('append-only');
  });
});

describe('what a log takes (RUN-9)', () => {
  const [started, inflated, ...others] = LOG;
  const at = (event: SessionEvent | undefined, atMs: number) => ({ ...event, atMs });

  it('refuses what lies ahead of the server, each at its place, and stores none of it', async () => {
    const { api } = await startAfter(openSession);
    const ahead = api.clock.nowMs + 120_001;
    const batch = [started, inflated, at(others[0], ahead)];
    const { status, problem } = await api.refused(EVENTS, { events: batch });
    expect(status).toBe(422);
    expect(problem.errors.map(({ path }) => path)).toEqual(['events.2.atMs']);
    expect((await api.get<SessionView>(`/sessions/${SESSION_ID}`)).events).toEqual([]);
    await api.post(EVENTS, { events: [started, at(others[0], ahead - 1)] });
  });

  it('keeps what a clock that was behind says in its sequence, timed by its receipt, and says so', async () => {
    const {
      api,
      made: { openedAtMs },
    } = await startAfter(openSession);
    const receivedMs = api.clock.nowMs;
    const behind = [at(started, openedAtMs - 7_200_000), at(inflated, openedAtMs - 7_195_000)];
    await api.post(EVENTS, { events: behind });
    const kept = () => api.get<SessionView>(`/sessions/${SESSION_ID}`);
    expect((await kept()).events.map(({ atMs, saidAtMs }) => [atMs - receivedMs, saidAtMs])).toEqual([
      [-5_000, openedAtMs - 7_200_000],
      [0, openedAtMs - 7_195_000],
    ]);
    // Sent again it is the same event; what it was timed by is the server's to say.
    api.clock.nowMs += 5_000;
    await api.post(EVENTS, { events: behind });
    await api.post(EVENTS, { events: [{ ...at(others[0], api.clock.nowMs), saidAtMs: 1 }] });
    const after = (await kept()).events;
    expect(after).toHaveLength(3);
    expect(after[2]).not.toHaveProperty('saidAtMs');
    // However long it lasted by that clock, nothing happened before the opening.
    await api.post(EVENTS, {
      events: [at(others[1], 1_000), at(others[2], openedAtMs - 7_190_000)],
    });
    expect(Math.min(...(await kept()).events.map(({ atMs }) => atMs))).toBe(openedAtMs);
  });

  it('takes corrections only once a session is finished, and what happened before but arrives late', async () => {
    const { api } = await startAfter(openSession);
    const late = LOG.filter(({ type }) => type === 'set-noted');
    await api.post(EVENTS, { events: LOG.filter((event) => !late.includes(event)) });
    await api.post(EVENTS, { events: late });
    const afterwards = (seq: number, body: object) => ({
      ...started,
      id: `00000000-0000-4000-8000-0000000000${seq}`,
      seq,
      atMs: NOON_MS + 400_000,
      ...body,
    });
    const place = { exerciseIndex: 0, setIndex: 3 };
    await api.post(EVENTS, { events: [afterwards(50, { type: 'set-noted', ...place, effort: 9 })] });
    await api.post(EVENTS, { events: [afterwards(51, { type: 'reps-corrected', ...place, byReps: -1 })] });
    const refused = await api.refused(EVENTS, {
      events: [afterwards(52, { type: 'set-started', ...place })],
    });
    expect(refused.status).toBe(409);
    expect(refused.problem.detail).toContain('corrections only');
    const kept = await api.get<SessionView>(`/sessions/${SESSION_ID}`);
    expect(fold(kept.plan, kept.events).sets[3]).toMatchObject({ effort: 9, correctedBy: -3 });
  });

  it('answers 409 to a known id with other content, and sends no one of it', async () => {
    const { api } = await startAfter(openSession);
    await api.post(EVENTS, { events: [started, inflated] });
    const feed = await api.follow('/feed');
    const forged = { ...inflated, pressureMmHg: 300 };
    const { status, problem } = await api.refused(EVENTS, { events: [forged] });
    expect(status).toBe(409);
    expect(problem.errors[0]?.path).toBe('events.0.id');
    // What is new is sent; what was known already is not sent again.
    await api.post(EVENTS, { events: [inflated, others[0]] });
    expect(await feed.next()).toEqual({ said: 'events', events: [others[0]] });
    await feed.leave();
  });
});

describe('opening a session', () => {
  it('opens once, however often it is asked', async () => {
    const { api, made: view } = await startAfter(openSession);
    const again = await api.post<SessionView>('/sessions', {
      id: SESSION_ID,
      prescriptionId: view.prescriptionId,
    });
    expect(again).toEqual(view);
  });

  it('is refused while a link does not hold, with the link named', async () => {
    const { api, made: client } = await startAfter(measuredClient);
    const signed = await api.post(`/clients/${client.id}/prescriptions`, prescriptionFor(client));
    api.clock.nowMs += 30 * DAY_MS;
    const { status, problem } = await api.refused('/sessions', {
      id: SESSION_ID,
      prescriptionId: signed.facts.prescriptions[0]?.id,
    });
    expect(status).toBe(422);
    expect(problem.errors.map(({ path }) => path)).toEqual(['measure']);
  });

  it('is refused for a day after a red sign, whatever the role (RUN-3)', async () => {
    const { api, made: view } = await startAfter(openSession);
    const events = logOf([
      [0, { type: 'session-started' }],
      [30, { type: 'sign-noted', sign: 'chest-pain' }],
      [31, { type: 'stopped', why: 'Chest pain' }],
      [40, { type: 'session-finished' }],
    ]).map((event) => ({ ...event, atMs: api.clock.nowMs + event.seq }));
    await api.post(EVENTS, { events });
    api.clock.nowMs += 3_600_000;
    const again = {
      id: '00000000-0000-4000-8000-000000000002',
      prescriptionId: view.prescriptionId,
    };
    const { status, problem } = await api.refused('/sessions', again);
    expect(status).toBe(422);
    expect(englishOf(problem.errors[0])).toMatchObject({ path: 'screen', rule: 'RUN-3' });
    expect(problem.detail).toContain('Chest pain');
    const [hold] = (await api.get<ClientRecord>(`/clients/${view.clientId}`)).facts.holds;
    const lift = `/clients/${view.clientId}/holds/${hold?.id}/lift`;
    const reason = { reason: 'Seen by her physician: a pulled muscle' };
    expect((await api.refused(lift, reason)).problem.detail).toContain('not lifted before the next');
    // The day after it holds still, until a clinician lifts it: never a coach, and never a good day check.
    api.clock.nowMs += DAY_MS;
    await api.post(`/clients/${view.clientId}/day-checks`, WELL);
    expect((await api.refused('/sessions', again)).status).toBe(422);
    expect((await api.refused(lift, reason, 'colin')).status).toBe(403);
    await api.post(lift, reason);
    await api.post('/sessions', again);
  });

  it('is answered by a screening of a clinician from the day after, and by no one else’s (SCR-5)', async () => {
    const { api, made: view } = await startAfter(openSession);
    const chestPain = logOf([
      [0, { type: 'session-started' }],
      [30, { type: 'sign-noted', sign: 'chest-pain' }],
      [40, { type: 'session-finished' }],
    ]);
    await api.post(EVENTS, { events: chestPain });
    const isHeld = async () =>
      (await api.get<ClientRecord>(`/clients/${view.clientId}`)).facts.holds.some(
        ({ cause }) => !cause.startsWith('screening'),
      );
    const screened = `/clients/${view.clientId}/screenings`;
    await api.post(screened, CLEAR);
    expect(await isHeld()).toBe(true);
    api.clock.nowMs += DAY_MS;
    await api.post(screened, CLEAR, 'colin');
    expect(await isHeld()).toBe(true);
    await api.post(screened, CLEAR);
    expect(await isHeld()).toBe(false);
  });

  it('goes by when a red sign was received: a device may have been offline for days (SCR-5)', async () => {
    const { api, made: view } = await startAfter(openSession);
    const offline = logOf([
      [0, { type: 'session-started' }],
      [30, { type: 'sign-noted', sign: 'dizzy' }],
      [40, { type: 'session-finished' }],
    ]);
    api.clock.nowMs += 3 * DAY_MS;
    await api.post(EVENTS, { events: offline });
    await api.post(`/clients/${view.clientId}/day-checks`, WELL);
    const { problem } = await api.refused('/sessions', {
      id: '00000000-0000-4000-8000-000000000002',
      prescriptionId: view.prescriptionId,
    });
    expect(problem.detail).toContain('Dizzy');
  });

  it('is refused for a prescription that a newer one has replaced, and while another is open', async () => {
    const { api, made: view } = await startAfter(openSession);
    const other = '00000000-0000-4000-8000-000000000001';
    const open = await api.refused('/sessions', { id: other, prescriptionId: view.prescriptionId });
    expect(open.problem.title).toBe('Already open');
    const client = await api.get<Parameters<typeof prescriptionFor>[0]>(`/clients/${view.clientId}`);
    api.clock.nowMs += 1000;
    await api.post(`/clients/${client.id}/prescriptions`, {
      ...prescriptionFor(client, { percentLop: 38 }),
      signedFor: nextVersion(client),
    });
    const old = await api.refused('/sessions', { id: other, prescriptionId: view.prescriptionId });
    expect(old.problem.title).toBe('Superseded');
  });
});

describe('a lighter version for today (SCR-3)', () => {
  it.each(['pressure', 'sets'] as const)('is run instead of the signed one, which stays: %s', async (how) => {
    const { api, made: client } = await startAfter(measuredClient);
    const signed = await api.post(
      `/clients/${client.id}/prescriptions`,
      prescriptionFor(client, { percentLop: 40 }),
    );
    await api.post(`/clients/${client.id}/day-checks`, { ...WELL, notWell: ['sleep'] });
    const [prescription] = signed.facts.prescriptions;
    const lighter = { how, why: 'slept-badly' };
    const { plan } = await api.post<SessionView>('/sessions', {
      id: SESSION_ID,
      prescriptionId: prescription?.id,
      lighter,
    });
    const as = ({ exercises: [exercise] }: Plan) => ({
      sets: exercise?.sets.length ?? 0,
      percentLop: exercise?.limbs.flatMap((limb) => (limb.kind === 'measured' ? limb.percentLop : [])),
    });
    const whole = as(prescription?.plan as Plan);
    expect(plan.today).toEqual(lighter);
    expect(as(plan)).toEqual(
      how === 'sets' ? { ...whole, sets: whole.sets - 1 } : { ...whole, percentLop: [30] },
    );
    const after = await api.get<ClientRecord>(`/clients/${client.id}`);
    expect(after.facts.prescriptions[0]?.plan).toEqual(prescription?.plan);
  });
});

describe('an assistant', () => {
  it('records a session, and does not answer its review: the answer signs the next version (SCR-4)', async () => {
    const { api, made: view } = await startAfter(openSession);
    const event = { sessionId: view.id, deviceId: 'one', atMs: api.clock.nowMs };
    const events = [
      {
        ...event,
        id: '00000000-0000-4000-8000-000000000001',
        seq: 1,
        type: 'session-started',
        runner: 'one',
      },
      {
        ...event,
        id: '00000000-0000-4000-8000-000000000002',
        seq: 2,
        type: 'review-answered',
        exerciseIndex: 0,
        rule: 'REV-1',
        answer: 'accepted',
        change: {},
        reason: '',
      },
    ];
    const path = `/sessions/${view.id}/events`;
    const { status, problem } = await api.refused(path, { events }, 'aske');
    expect([status, problem.errors[0]?.path]).toEqual([403, 'events.1']);
    await api.post(path, { events: events.slice(0, 1) }, 'aske');
  });
});

describe('a locked device', () => {
  it('lets a cuff down and stops, and records nothing else', async () => {
    const { api, made: view } = await startAfter(openSession);
    let seq = 0;
    const post = async (type: string, more: object = {}) => {
      seq += 1;
      const id = `00000000-0000-4000-8000-0000000000${String(seq).padStart(2, '0')}`;
      const event = { id, sessionId: view.id, deviceId: 'tablet', seq, atMs: api.clock.nowMs, type, ...more };
      const answer = await api.ask(`/sessions/${view.id}/events`, {
        method: 'POST',
        headers: { cookie: '__Host-nervato=locked' },
        body: JSON.stringify({ events: [event] }),
      });
      return answer.status;
    };
    const limb = 'left-thigh';
    expect(await post('pressure-read', { limb, pressureMmHg: 80, cause: 'read' })).toBe(401);
    expect(await post('cuff-released', { limb })).toBe(200);
  });
});

describe('the feed of what happens to a session', () => {
  it('reaches who follows the feed, as it is stored', async () => {
    const { api } = await startAfter(openSession);
    const feed = await api.follow('/feed');
    await api.post(EVENTS, { events: LOG.slice(0, 2) });
    expect(await feed.next()).toEqual({ said: 'events', events: LOG.slice(0, 2) });
    // What is refused is not sent.
    await api.refused(EVENTS, { events: [{ ...LOG[2], sessionId: '00000000-0000-4000-8000-0000000000ff' }] });
    await api.post(EVENTS, { events: LOG.slice(2, 3) });
    expect(await feed.next()).toEqual({ said: 'events', events: LOG.slice(2, 3) });
    await feed.leave();
  });

  it('carries the day after into the record, where numbness holds the next session (RUN-6)', async () => {
    const {
      api,
      made: { clientId },
    } = await startAfter(openSession);
    await api.post(EVENTS, { events: LOG });
    const said = { soreness: 4, bruising: 'none', pinpointBleeding: false, numbness: true };
    api.clock.nowMs += DAY_MS;
    const event = { ...LOG[0], ...said, type: 'followed-up', seq: 900, atMs: api.clock.nowMs - 1_000 };
    await api.post(EVENTS, { events: [{ ...event, id: '00000000-0000-4000-8000-0000000000aa' }] });
    const record = await api.get<ClientRecord>(`/clients/${clientId}`);
    expect(record.facts.sessions[0]?.followUp).toMatchObject(said);
    expect(englishOf(record.chain.find(({ id }) => id === 'screen'))).toMatchObject({
      state: 'held',
      rules: ['RUN-6', 'SCR-5'],
    });
  });
});
