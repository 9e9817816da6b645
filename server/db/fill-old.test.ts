import { expect, it } from 'vitest';
import type { ClientRecord } from '#contract/client';
import { answeredInForce } from '#core/record';
import { logOf } from '#core/session/session.fixture';
import { inEnglish } from '#language/render';
import { type Api, CLEAR, DAY_MS, openSession, SESSION_ID, startAfter, startApi } from '../api.fixture';

/** The file as the releases before holds left it. */
async function asBeforeHolds(api: Api): Promise<void> {
  await api.sql('delete from hold');
  await api.sql('pragma user_version = 0');
  await api.restart();
}

const holdsOf = async (api: Api, id: string): Promise<string[]> =>
  (await api.get<ClientRecord>(`/clients/${id}`)).facts.holds.map(
    ({ rule, words }) => `${rule} ${inEnglish(words)}`,
  );

it('holds people that an old file stopped, so that a later no does not erase it (SCR-5)', async () => {
  const api = await startApi();
  const { id } = await api.post('/clients', { name: 'Old Record' });
  await api.post(`/clients/${id}/screenings`, { ...CLEAR, yes: ['diabetes', 'thrombosis'] });
  await asBeforeHolds(api);
  expect(await holdsOf(api, id)).toEqual([expect.stringContaining('thrombosis')]);
  api.clock.nowMs += DAY_MS;
  const later = await api.post(`/clients/${id}/screenings`, CLEAR, 'colin');
  expect(later.chain[0]?.state).toBe('held');
});

it('holds after the signs of the last session, from their receipt, and only once a file', async () => {
  const {
    api,
    made: { clientId },
  } = await startAfter(openSession);
  const events = logOf([
    [0, { type: 'session-started' }],
    [30, { type: 'sign-noted', sign: 'chest-pain' }],
    [40, { type: 'session-finished' }],
  ]);
  await api.post(`/sessions/${SESSION_ID}/events`, { events });
  await asBeforeHolds(api);
  expect(await holdsOf(api, clientId)).toEqual(['RUN-3 Chest pain in the last session']);
  await api.sql('delete from hold');
  await api.restart();
  expect(await holdsOf(api, clientId)).toEqual([]);
});

it('has what an old file said of a person: a later no of a clinician ended it then, one of a coach did not (SCR-1)', async () => {
  const api = await startApi();
  const { id } = await api.post('/clients', { name: 'Old Record' });
  const screened = async (yes: string[], who: 'clara' | 'colin' = 'clara') => {
    await api.post(`/clients/${id}/screenings`, { ...CLEAR, yes }, who);
    api.clock.nowMs += DAY_MS;
  };
  await screened(['fainting', 'nerve-injury']);
  await screened(['nerve-injury']);
  await screened([], 'colin');
  await api.sql('delete from condition');
  await api.sql('pragma user_version = 3');
  await api.restart();
  const { facts } = await api.get<ClientRecord>(`/clients/${id}`);
  expect(answeredInForce(facts, api.clock.nowMs).yes).toEqual(['nerve-injury']);
  const kept = await api.sql('select end_reason from condition');
  expect(kept.map((row) => row.end_reason)).toEqual(expect.arrayContaining(['Screened again', null]));
});
