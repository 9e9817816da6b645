import { describe, expect, it } from 'vitest';
import type { ClientRecord } from '#contract/client';
import type { RecordEntries } from '#contract/corrections';
import type { NewClearance } from '#contract/measurements';
import { answeredInForce } from '#core/record';
import { subjectOf } from '#core/screening';
import { englishOf } from '#language/english-of.fixture';
import {
  AGREED,
  CLEAR,
  measuredClient,
  NOON_MS,
  openSession,
  prescriptionFor,
  SESSION_ID,
  startAfter,
  startApi,
  WELL,
} from '../api.fixture';

const clearance = (changes: Partial<NewClearance> = {}): NewClearance => ({
  subjects: ['diabetes'],
  givenBy: 'Dr Test',
  byPhysician: true,
  givenAtMs: NOON_MS,
  untilMs: NOON_MS + 90 * 86_400_000,
  maxPercentLop: null,
  limbs: [],
  modes: [],
  highestRung: null,
  ranges: [],
  note: '',
  ...changes,
});

describe('screening', () => {
  it('keeps every version, and judges the newest', async () => {
    const api = await startApi();
    const { id } = await api.post('/clients', { name: 'Ada' });
    await api.post(`/clients/${id}/screenings`, CLEAR);
    api.clock.nowMs += 1000;
    const again = await api.post(`/clients/${id}/screenings`, { ...CLEAR, yes: ['diabetes'] });
    expect(again.facts.screenings).toHaveLength(2);
    expect(englishOf(again.chain[0])).toMatchObject({ state: 'held', figure: 'needs clearance' });
  });

  it('asks for two readings, each with the lower below the upper', async () => {
    const api = await startApi();
    const { id } = await api.post('/clients', { name: 'Ada' });
    const [reading] = CLEAR.bloodPressures;
    const one = await api.refused(`/clients/${id}/screenings`, { ...CLEAR, bloodPressures: [reading] });
    expect(one.problem.errors[0]?.path).toBe('bloodPressures');
    const swapped = { systolicMmHg: 70, diastolicMmHg: 120 };
    const wrong = await api.refused(`/clients/${id}/screenings`, {
      ...CLEAR,
      bloodPressures: [reading, swapped],
    });
    expect(wrong.problem.errors[0]?.path).toBe('bloodPressures.1.diastolicMmHg');
  });

  it('obeys what a practice makes stricter', async () => {
    const api = await startApi();
    const { id } = await api.post('/clients', { name: 'Ada' });
    await api.post(`/clients/${id}/screenings`, { ...CLEAR, yes: ['diabetes'] });
    await api.post('/practice/settings', {
      name: 'Test practice',
      schoolId: 'research-consensus',
      massUnit: 'lb',
      lengthUnit: 'in',
      stricter: [{ item: 'diabetes', level: 'stop' }],
    });
    const judged = await api.get<ClientRecord>(`/clients/${id}`);
    expect(englishOf(judged.chain[0]?.figure)).toBe('do not start');
  });
});

describe('what a person has (SCR-1)', () => {
  const subjects = ({ facts }: ClientRecord, nowMs: number) => answeredInForce(facts, nowMs).yes;

  it('ends by a clinician with a reason, and by no one else', async () => {
    const api = await startApi();
    const { id } = await api.post('/clients', { name: 'Ada' });
    await api.post(`/clients/${id}/screenings`, { ...CLEAR, yes: ['anticoagulants', 'nerve-injury'] });
    api.clock.nowMs += 1000;
    // Said twice, it is one thing to end.
    const said = await api.post(`/clients/${id}/screenings`, { ...CLEAR, yes: ['anticoagulants'] }, 'aske');
    const ids = said.facts.conditions
      .filter(({ detail }) => subjectOf(detail) === 'anticoagulants')
      .map((condition) => condition.id);
    expect(ids).toHaveLength(2);
    const path = `/clients/${id}/conditions/end`;
    for (const who of ['aske', 'colin', 'olga'] as const)
      expect((await api.refused(path, { ids, reason: 'Stopped in May' }, who)).status).toBe(403);
    expect((await api.refused(path, { ids, reason: ' ' })).problem.errors[0]?.path).toBe('reason');
    expect((await api.refused(path, { ids: [...ids, 'of another person'], reason: 'x' })).status).toBe(404);
    const ended = await api.post(path, { ids, reason: 'Stopped in May' });
    expect(subjects(ended, api.clock.nowMs)).toEqual(['nerve-injury']);
    const [entry] = await api.sql('select action, detail from audit order by rowid desc limit 1');
    expect(entry).toMatchObject({ action: 'condition-ended' });
    expect(entry?.detail).toContain('Stopped in May');
    // It may come again.
    api.clock.nowMs += 1000;
    const again = await api.post(`/clients/${id}/screenings`, { ...CLEAR, yes: ['anticoagulants'] });
    expect(subjects(again, api.clock.nowMs)).toContain('anticoagulants');
  });

  it('goes with the screening that said it where that is retracted', async () => {
    const api = await startApi();
    const { id } = await api.post('/clients', { name: 'Ada' });
    await api.post(`/clients/${id}/screenings`, { ...CLEAR, yes: ['fainting'] });
    api.clock.nowMs += 1000;
    const wrong = await api.post(`/clients/${id}/screenings`, { ...CLEAR, yes: ['diabetes', 'fainting'] });
    expect(subjects(wrong, api.clock.nowMs)).toEqual(['diabetes', 'fainting']);
    const [row] = await api.sql('select id from screening order by at_ms desc limit 1');
    const json = { kind: 'screening', id: row?.id, reason: 'Of another person' };
    await api.post(`/clients/${id}/retractions`, json);
    const left = await api.get<ClientRecord>(`/clients/${id}`);
    expect(subjects(left, api.clock.nowMs)).toEqual(['fainting']);
  });
});

describe('clearances (SCR-2, SCR-4)', () => {
  it('are recorded by clinicians only', async () => {
    const api = await startApi();
    const { id } = await api.post('/clients', { name: 'Ada' });
    const { status, problem } = await api.refused(`/clients/${id}/clearances`, clearance(), 'colin');
    expect(status).toBe(403);
    expect(englishOf(problem.errors[0])).toMatchObject({ rule: 'SCR-4' });
    const recorded = await api.post(`/clients/${id}/clearances`, clearance());
    expect(recorded.facts.clearances).toEqual([clearance()]);
  });

  it.each([
    ['a cap', { maxPercentLop: 50 }, 'exercises.0.percentLop'],
    ['limbs', { limbs: ['left-arm' as const] }, 'exercises.0.limb'],
    ['work', { modes: ['passive' as const] }, 'exercises.0.protocolId'],
  ])('limit what can be prescribed by %s', async (_, limits, path) => {
    const { api, made: client } = await startAfter(measuredClient);
    await api.post(`/clients/${client.id}/screenings`, { ...CLEAR, yes: ['diabetes'] });
    await api.post(`/clients/${client.id}/clearances`, clearance(limits));
    const { problem } = await api.refused(`/clients/${client.id}/prescriptions`, {
      ...prescriptionFor(client, { percentLop: 60 }),
      overrideReason: 'I insist',
    });
    expect(englishOf(problem.errors)).toContainEqual(
      expect.objectContaining({ path, rule: 'SCR-2', level: 'hard' }),
    );
  });
});

describe('the check on the day (SCR-3)', () => {
  it('is needed before a session opens, and only one of today counts', async () => {
    const { api, made: client } = await startAfter(measuredClient);
    const signed = await api.post(`/clients/${client.id}/prescriptions`, prescriptionFor(client));
    const session = { id: SESSION_ID, prescriptionId: signed.facts.prescriptions[0]?.id };
    expect(englishOf((await api.refused('/sessions', session)).problem.errors[0])).toMatchObject({
      path: 'dayCheck',
    });
    await api.post(`/clients/${client.id}/day-checks`, WELL);
    api.clock.nowMs += 13 * 3_600_000;
    expect(englishOf((await api.refused('/sessions', session)).problem.errors[0])).toMatchObject({
      path: 'dayCheck',
    });
    await api.post(`/clients/${client.id}/day-checks`, WELL);
    await api.post('/sessions', session);
  });

  it('holds the session when something is not well', async () => {
    const { api, made: view } = await startAfter(openSession);
    await api.post(`/sessions/${SESSION_ID}/events`, {
      events: [
        {
          id: '00000000-0000-4000-8000-0000000000aa',
          sessionId: SESSION_ID,
          deviceId: 'd',
          seq: 0,
          atMs: NOON_MS,
          type: 'session-finished',
        },
      ],
    });
    api.clock.nowMs += 1000;
    const high = { systolicMmHg: 164, diastolicMmHg: 92 };
    await api.post(`/clients/${view.clientId}/day-checks`, { ...WELL, bloodPressure: high });
    const { status, problem } = await api.refused('/sessions', {
      id: '00000000-0000-4000-8000-000000000009',
      prescriptionId: view.prescriptionId,
    });
    expect(status).toBe(422);
    expect(problem.detail).toContain('164/92');
  });
});

describe('consent (SCR-6)', () => {
  it('is passed by a clinician with a reason where it is missing, and never where it was withdrawn', async () => {
    const { api, made: client } = await startAfter(measuredClient);
    const signed = await api.post(`/clients/${client.id}/prescriptions`, prescriptionFor(client));
    await api.post(`/clients/${client.id}/day-checks`, WELL);
    const session = { id: SESSION_ID, prescriptionId: signed.facts.prescriptions[0]?.id };
    api.clock.nowMs += 1_000;
    const record = await api.post(`/clients/${client.id}/consents`, { ...AGREED, decision: 'withdrawn' });
    expect(record.facts.consents).toEqual([{ ...AGREED, decision: 'withdrawn', atMs: api.clock.nowMs }]);
    const insists = { ...session, overrideReason: 'I insist' };
    expect((await api.refused('/sessions', insists)).status).toBe(422);
    // Retracting both leaves none: then a word passes it.
    const { entries } = await api.get<RecordEntries>(`/clients/${client.id}/entries`);
    for (const { id } of entries.filter(({ content }) => content.kind === 'consent')) {
      await api.post(`/clients/${client.id}/retractions`, {
        kind: 'consent',
        id,
        reason: 'Of another person',
      });
    }
    expect(englishOf((await api.refused('/sessions', insists, 'colin')).problem.errors)).toEqual([
      expect.objectContaining({ rule: 'SCR-6', level: 'guard' }),
    ]);
    expect((await api.call('POST', '/sessions', insists, 'clara')).status).toBe(201);
  });

  it('is to a text that there is', async () => {
    const {
      api,
      made: { id },
    } = await startAfter(measuredClient);
    expect((await api.refused(`/clients/${id}/consents`, { ...AGREED, version: 99 })).status).toBe(404);
    const guardian = { ...AGREED, guardian: '  ' };
    expect((await api.refused(`/clients/${id}/consents`, guardian)).problem.errors[0]?.path).toBe('guardian');
  });
});
