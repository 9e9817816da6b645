import { describe, expect, it } from 'vitest';
import type { AuditCheck, AuditPage } from '#contract/audit';
import type { ClientRecord, PeoplePage } from '#contract/client';
import type { RecordEntries, Retracted } from '#contract/corrections';
import type { SurveillanceView } from '#contract/outcomes';
import type { SessionView } from '#contract/session';
import { englishOf } from '#language/english-of.fixture';
import {
  type Api,
  CLEAR,
  DAY_MS,
  FIT,
  measuredClient,
  OCCLUSION,
  openSession,
  prescriptionFor,
  SESSION_ID,
  startAfter,
  startApi,
  TRIAL,
  WELL,
} from '../api.fixture';
import { answerDayAfter, ready, train } from '../forbidden.fixture';

/** Some days on, so that what is measured then is newer. */
const MEASURED_LATER = 3 * DAY_MS;

const entries = async (api: Api, id: string) =>
  (await api.get<RecordEntries>(`/clients/${id}/entries`)).entries;
const entryOf = async (api: Api, id: string, kind: string) => {
  const found = (await entries(api, id)).find(({ content }) => content.kind === kind);
  if (!found) throw new Error(`No ${kind} is on record.`);
  return found;
};
const retract = async (api: Api, clientId: string, kind: string, id?: string) =>
  api.post<Retracted>(`/clients/${clientId}/retractions`, {
    kind,
    id: id ?? (await entryOf(api, clientId, kind)).id,
    reason: 'Of another person',
  });
const chainOf = ({ chain }: ClientRecord) => Object.fromEntries(chain.map(({ id, state }) => [id, state]));

describe('a measurement that is retracted', () => {
  it('counts no more at once, and what it stood in place of counts in its stead', async () => {
    const { api, made: client } = await startAfter(measuredClient);
    api.clock.nowMs += MEASURED_LATER;
    const later = { ...TRIAL, goneMmHg: 200, backMmHg: 192 };
    await api.post(`/clients/${client.id}/occlusion-pressures`, { ...OCCLUSION, trials: [later, later] });
    const { record, unsettled } = await retract(api, client.id, 'occlusion-pressure');
    expect(record.facts.occlusions.map(({ id }) => id)).toEqual(client.facts.occlusions.map(({ id }) => id));
    expect(unsettled).toEqual([]);
    const wrong = await entryOf(api, client.id, 'occlusion-pressure');
    expect(wrong.retracted).toEqual({ atMs: api.clock.nowMs, by: 'Clara', reason: 'Of another person' });
    // A newer one takes the place of the older as ever.
    const again = await api.post(`/clients/${client.id}/occlusion-pressures`, OCCLUSION);
    expect(again.facts.occlusions).toHaveLength(1);
  });

  it('holds what stood on it, which is named, and no session opens on it', async () => {
    const { api, made: client } = await startAfter(measuredClient);
    const signed = await api.post(`/clients/${client.id}/prescriptions`, prescriptionFor(client));
    await api.post(`/clients/${client.id}/day-checks`, WELL);
    const { record, unsettled } = await retract(api, client.id, 'occlusion-pressure');
    expect(chainOf(record).measure).toBe('missing');
    expect(englishOf(unsettled)).toContainEqual(expect.objectContaining({ what: 'plan', name: 'Lower day' }));
    expect(englishOf(unsettled)).toContainEqual(expect.objectContaining({ what: 'link', id: 'measure' }));
    const prescriptionId = signed.facts.prescriptions[0]?.id;
    const { status } = await api.refused('/sessions', { id: SESSION_ID, prescriptionId });
    expect(status).toBe(422);
  });

  it.each(['strength-test', 'screening', 'fit', 'day-check'])('may be any: a %s', async (kind) => {
    const { api, made: client } = await startAfter(measuredClient);
    await api.post(`/clients/${client.id}/day-checks`, WELL);
    const { record } = await retract(api, client.id, kind);
    const { facts } = record;
    const left = {
      'strength-test': facts.strengthTests,
      screening: facts.screenings,
      fit: facts.fits,
      'day-check': facts.dayChecks,
    };
    expect(left[kind as keyof typeof left]).toEqual([]);
  });

  it('may be a clearance, a quick check, or heavy work', async () => {
    const { api, made: client } = await startAfter(measuredClient);
    const base = `/clients/${client.id}`;
    await api
      .post(`${base}/clearances`, {
        subject: 'diabetes',
        givenBy: 'Dr Wren Halloway',
        givenAtMs: api.clock.nowMs,
        untilMs: api.clock.nowMs + 86_400_000,
        limits: {},
      })
      .catch(() => null);
    await api.post(`${base}/quick-checks`, { occlusionId: client.facts.occlusions[0]?.id, goneMmHg: 178 });
    await api.post(`${base}/heavy-work`, {
      exerciseId: 'knee-extension',
      side: 'left',
      sets: 3,
      reps: 5,
      loadKg: 40,
      effort: 8,
      atMs: api.clock.nowMs,
    });
    const checked = (await retract(api, client.id, 'quick-check')).record.facts;
    expect(checked.occlusions[0]?.quickChecks).toEqual([]);
    expect((await retract(api, client.id, 'heavy-work')).record.facts.heavyWork).toEqual([]);
  });

  it('gives what it is with its figures and ids, so that it is read in any unit and language', async () => {
    const { api, made: client } = await startAfter(measuredClient);
    const base = `/clients/${client.id}`;
    const occlusionId = client.facts.occlusions[0]?.id;
    await api.post(`${base}/screenings`, { ...CLEAR, yes: ['varicose-veins', 'smoker'] });
    await api.post(`${base}/quick-checks`, { occlusionId, goneMmHg: 177.5 });
    const squat = { exerciseId: 'knee-extension', side: 'both', sets: 3, reps: 5, loadKg: 42.5 };
    await api.post(`${base}/heavy-work`, { ...squat, effort: null, atMs: api.clock.nowMs });
    const strap = { limb: 'left-arm', strapId: 'wrap', mark: 4, felt: 7, colourGood: true, noTingling: true };
    await api.post(`${base}/fits`, { kind: 'strap', limb: 'left-arm', girthCm: 30, strapId: 'wrap' });
    await api.post(`${base}/tightness`, { ...strap, tension: 'by half' });
    expect((await entries(api, client.id)).map(({ content }) => content)).toEqual(
      expect.arrayContaining([
        { kind: 'screening', yes: ['varicose-veins', 'smoker'] },
        { kind: 'quick-check', limb: 'left-thigh', goneMmHg: 177.5 },
        { kind: 'heavy-work', ...squat },
        expect.objectContaining({ kind: 'fit', limb: 'left-thigh', girthCm: 55 }),
        expect.objectContaining({ kind: 'tightness', mark: 4, counts: 'turns', tension: 'by half', felt: 7 }),
        expect.objectContaining({ kind: 'occlusion-pressure', position: 'sitting', pressureMmHg: 174 }),
        { kind: 'consent', decision: 'agreed', read: 'on-screen' },
        expect.objectContaining({ kind: 'strength-test', exerciseId: 'knee-extension', side: 'left' }),
      ]),
    );
  });

  it('is retracted by a clinician with a reason, once, and only from the record it is of', async () => {
    const { api, made: client } = await startAfter(measuredClient);
    const other = await api.post('/clients', { name: 'Other Person' });
    const { id } = await entryOf(api, client.id, 'fit');
    const asked = { kind: 'fit', id, reason: 'Wrong leg' };
    const path = `/clients/${client.id}/retractions`;
    expect((await api.refused(path, asked, 'colin')).status).toBe(403);
    expect((await api.refused(path, { ...asked, reason: ' ' })).status).toBe(400);
    expect((await api.refused(`/clients/${other.id}/retractions`, asked)).status).toBe(404);
    await api.post(path, asked);
    expect((await api.refused(path, asked)).status).toBe(409);
  });
});

describe('a session that is retracted', () => {
  it('counts nowhere, and takes nothing more', async () => {
    const { api, made: view } = await startAfter(openSession);
    expect(
      (
        await api.refused(`/clients/${view.clientId}/retractions`, {
          kind: 'session',
          id: view.id,
          reason: 'Of another person',
        })
      ).status,
    ).toBe(409);
    const event = (seq: number, more: object) => ({
      id: `00000000-0000-4000-8000-00000000000${seq}`,
      sessionId: view.id,
      deviceId: 'one',
      seq,
      atMs: api.clock.nowMs,
      ...more,
    });
    await api.post(`/sessions/${view.id}/events`, {
      events: [event(1, { type: 'session-started', runner: 'one' }), event(2, { type: 'session-finished' })],
    });
    const { record } = await retract(api, view.clientId, 'session', view.id);
    expect([record.facts.sessions, record.facts.sessionsFinished]).toEqual([[], 0]);
    expect((await api.get<{ sessions: unknown[] }>(`/clients/${view.clientId}/log`)).sessions).toEqual([]);
    const late = event(3, { type: 'pressure-read', limb: 'left-thigh', pressureMmHg: 80, cause: 'read' });
    expect((await api.refused(`/sessions/${view.id}/events`, { events: [late] })).status).toBe(409);
  });
});

describe('a person', () => {
  it('is renamed, with the name before in the audit, and found by the new one', async () => {
    const api = await startApi();
    const { id } = await api.post('/clients', { name: 'Misspelt Nmae' });
    await api.post(`/clients/${id}`, { name: 'Spelt Name' });
    const found = async (search: string) => (await api.get<PeoplePage>(`/clients?search=${search}`)).total;
    expect([await found('spelt%20name'), await found('nmae')]).toEqual([1, 0]);
    const { entries: said } = await api.get<AuditPage>(`/audit/of/${id}`);
    expect(said.find(({ action }) => action === 'person-changed')?.detail).toMatchObject({
      from: { name: 'Misspelt Nmae' },
    });
  });

  it('is described: what they want and how they are reached, with what stood there before in the audit', async () => {
    const api = await startApi();
    const { id, about: before } = await api.post<ClientRecord>('/clients', { name: 'Ada' });
    const about = {
      contact: '555 0177, mornings',
      goals: 'the tower stairs',
      notes: '',
      bornOn: '1950-05-07',
    };
    expect((await api.post<ClientRecord>(`/clients/${id}`, { about })).about).toEqual(about);
    // What else is changed leaves it.
    expect((await api.post<ClientRecord>(`/clients/${id}`, { name: 'Ada B.' })).about).toEqual(about);
    const { problem } = await api.refused(`/clients/${id}`, { about: { ...about, goals: 'x'.repeat(401) } });
    expect(problem.errors[0]?.path).toBe('about.goals');
    const { entries: said } = await api.get<AuditPage>(`/audit/of/${id}`);
    expect(said.map(({ detail }) => detail)).toContainEqual(
      expect.objectContaining({ from: expect.objectContaining({ about: before }) }),
    );
  });

  it('is taken off the list with all that is on record, and put back', async () => {
    const { api, made: client } = await startAfter(measuredClient);
    await api.post(`/clients/${client.id}`, { archived: true });
    expect((await api.get<PeoplePage>('/clients')).total).toBe(0);
    expect((await api.get<PeoplePage>('/clients?archived=yes')).people.map(({ id }) => id)).toEqual([
      client.id,
    ]);
    await api.post(`/clients/${client.id}`, { archived: false });
    expect((await api.get<ClientRecord>(`/clients/${client.id}`)).facts.occlusions).toHaveLength(1);
    expect((await api.get<PeoplePage>('/clients')).total).toBe(1);
  });

  it('who is on record twice becomes one, with the newest of both in force', async () => {
    const { api, made: first } = await startAfter(measuredClient);
    api.clock.nowMs += MEASURED_LATER;
    const second = await api.post('/clients', { name: 'Test Persson' });
    await api.post(`/clients/${second.id}/screenings`, CLEAR);
    await api.post(`/clients/${second.id}/fits`, { ...FIT, girthCm: 56 });
    const merged = await api.post(`/clients/${first.id}/merge`, { otherId: second.id, reason: 'The same' });
    expect(merged.facts.fits.map(({ girthCm }) => girthCm)).toEqual([56]);
    expect(merged.facts.occlusions).toHaveLength(1);
    expect((await api.get<PeoplePage>('/clients')).total).toBe(1);
    expect((await api.call('GET', `/clients/${second.id}`)).status).toBe(404);
    const { entries: said } = await api.get<AuditPage>(`/audit/of/${first.id}`);
    expect(said.map(({ subject }) => subject)).toContain(second.id);
    expect((await api.refused(`/clients/${first.id}/merge`, { otherId: first.id, reason: 'x' })).status).toBe(
      422,
    );
  });
});

describe('what a session reads of the record before it', () => {
  const answersOf = ({ painBefore, idBefore }: SessionView) => ({ painBefore, idBefore });

  it('is the newest check that was made before it and stands, and the session before of the same plan', async () => {
    const { api, made: person } = await startAfter(ready);
    const { id } = person.client;
    const trained = async () => {
      const view = await train(api, person, [], 3 * DAY_MS);
      await answerDayAfter(api, view, {});
      return view;
    };
    const first = await trained();
    const checked = (painNow: number) => api.post(`/clients/${id}/day-checks`, { ...WELL, painNow });
    await checked(4);
    const second = await trained();
    const read = async (sessionId: string) => answersOf(await api.get<SessionView>(`/sessions/${sessionId}`));
    expect(await read(second.id)).toEqual({ painBefore: 4, idBefore: first.id });
    // What is made later is nothing that was before.
    await checked(2);
    expect(await read(second.id)).toEqual({ painBefore: 4, idBefore: first.id });
    const [newest] = (await api.sql(
      `select id from day_check where client_id = '${id}' order by at_ms desc`,
    )) as { id: string }[];
    const third = await trained();
    expect(await read(third.id)).toEqual({ painBefore: 2, idBefore: second.id });
    await retract(api, id, 'day-check', newest?.id);
    expect(await read(third.id)).toEqual({ painBefore: 4, idBefore: second.id });
    await retract(api, id, 'session', second.id);
    expect(await read(third.id)).toEqual({ painBefore: 4, idBefore: first.id });
  });
});

describe('a person who is to be forgotten', () => {
  it('goes with every event and word, and leaves counts without a name and an audit that still holds', async () => {
    const { api, made: view } = await startAfter(openSession);
    const event = { sessionId: view.id, deviceId: 'one', atMs: api.clock.nowMs };
    await api.post(`/sessions/${view.id}/events`, {
      events: [
        {
          ...event,
          id: '00000000-0000-4000-8000-000000000001',
          seq: 1,
          type: 'session-started',
          runner: 'one',
        },
        { ...event, id: '00000000-0000-4000-8000-000000000002', seq: 2, type: 'session-finished' },
      ],
    });
    await api.post('/clients', { name: 'Other Person' });
    await api.post(`/clients/${view.clientId}/adverse-events`, {
      id: '00000000-0000-4000-8000-000000000003',
      atMs: api.clock.nowMs,
      sessionId: view.id,
      what: 'A blister under the edge of the cuff',
      done: 'Covered',
      outcome: '',
      notified: 'The client',
    });
    const path = `/clients/${view.clientId}/erasure`;
    expect((await api.refused(path, { name: 'Test Person', reason: 'Asked' }, 'lena')).status).toBe(403);
    expect((await api.refused(path, { name: 'Test', reason: 'Asked' })).status).toBe(422);
    expect(
      (await api.post<{ rows: number }>(path, { name: 'Test Person', reason: 'Asked' })).rows,
    ).toBeGreaterThan(8);

    const tables = await api.sql(
      "select name from sqlite_master where type = 'table' and name not like 'sqlite%'",
    );
    for (const { name } of tables) {
      const rows = JSON.stringify(await api.sql(`select * from ${name}`));
      expect([name, rows.includes('Test Person')]).toEqual([name, false]);
      if (!['audit', 'erased', 'erased_session'].includes(name ?? ''))
        expect([name, rows.includes(view.clientId)]).toEqual([name, false]);
    }
    // What the audit said of them is gone, of their sessions too; that something was done stays.
    const said = await api.sql(
      `select detail, salt from audit where subject in ('${view.clientId}', '${view.id}')`,
    );
    expect(said.length).toBeGreaterThan(8);
    expect(said.filter(({ detail, salt }) => detail !== '' || salt !== '')).toEqual([]);
    expect((await api.call('GET', `/clients/${view.clientId}`)).status).toBe(404);
    expect((await api.get<PeoplePage>('/clients')).total).toBe(1);
    expect((await api.get<SurveillanceView>('/practice/surveillance')).adverseEvents).toBe(1);
    expect(await api.get<AuditCheck>('/audit/check')).toMatchObject({ broken: null });
  });
});

describe('the audit', () => {
  it('is whole as long as it is unchanged, and says where it was changed', async () => {
    const { api } = await startAfter(measuredClient);
    expect(await api.get<AuditCheck>('/audit/check')).toMatchObject({ rows: 6, broken: null });
    const wrongs = [
      "update audit set subject = 'another' where id = 3",
      'delete from audit where id = 3',
      "insert into audit (id, at_ms, practitioner_id, action, subject, detail) values (99, 1, 'clara', 'x', 'y', '{}')",
    ];
    for (const wrong of wrongs.slice(0, 2)) await expect(api.sql(wrong)).rejects.toThrow(/append-only/);
    await expect(api.sql('insert or replace into audit select * from audit where id = 3')).rejects.toThrow(
      /append-only/,
    );
    for (const trigger of ['audit_no_update', 'audit_no_delete']) await api.sql(`drop trigger ${trigger}`);
    await api.sql(wrongs[2] ?? '');
    expect((await api.get<AuditCheck>('/audit/check')).broken?.id).toBe(99);
    await api.sql('delete from audit where id = 99');
    await api.sql("update audit set detail = '{}' where id = 2");
    expect((await api.get<AuditCheck>('/audit/check')).broken?.id).toBe(2);
  });

  it('has reads of a person, once an hour for each who looks', async () => {
    const {
      api,
      made: { id },
    } = await startAfter(measuredClient);
    for (let i = 0; i < 3; i += 1) await api.call('GET', `/clients/${id}`, undefined, 'colin');
    api.clock.nowMs += 3_600_001;
    await api.call('GET', `/clients/${id}/outcomes`, undefined, 'colin');
    const { entries: said } = await api.get<AuditPage>(`/audit/of/${id}`);
    expect(
      said.filter(({ action, practitionerId }) => action === 'looked-at' && practitionerId === 'colin'),
    ).toHaveLength(2);
    const printed = { subject: id, view: 'sheet' };
    expect((await api.call('POST', '/audit/printed', printed, 'aske')).status).toBe(204);
    expect((await api.get<AuditPage>(`/audit/of/${id}`)).entries[0]).toMatchObject({
      action: 'printed',
      practitionerId: 'aske',
      clientName: 'Test Person',
      detail: { view: 'sheet' },
    });
    const { entries: found } = await api.get<AuditPage>(
      '/audit?practitionerId=colin&search=x&called=looked-at,screened',
    );
    expect(found.map(({ action, clientName }) => [action, clientName])).toEqual([
      ['looked-at', 'Test Person'],
      ['looked-at', 'Test Person'],
    ]);
  });
});
