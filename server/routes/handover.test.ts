import { v4 as newId } from 'uuid';
import { describe, expect, it } from 'vitest';
import type { Handover } from '#contract/handover';
import { measuredClient, startAfter } from '../api.fixture';

describe('notes for the next shift', () => {
  it('are kept of a client and of the day, seen by all, and gone once they are marked as read', async () => {
    const { api, made: client } = await startAfter(measuredClient);
    const ofClient = { id: newId(), clientId: client.id, words: 'Left knee warm: look first.' };
    const ofDay = { id: newId(), clientId: null, words: 'The large cuff leaks.' };
    await api.post('/handover', ofClient, 'aske');
    api.clock.nowMs += 1_000;
    await api.post('/handover', ofDay);
    expect(await api.get<Handover[]>('/handover')).toMatchObject([
      { id: ofDay.id, client: null, words: 'The large cuff leaks.', practitionerId: 'clara' },
      { id: ofClient.id, client: { id: client.id, name: 'Test Person' }, practitionerId: 'aske' },
    ]);
    const left = await api.post<Handover[]>(`/handover/${ofDay.id}/read`, {}, 'colin');
    expect(left.map(({ id }) => id)).toEqual([ofClient.id]);
    expect((await api.refused(`/handover/${ofDay.id}/read`, {})).status).toBe(404);
    const [read] = await api.sql('select read_by from day_note');
    expect(read?.read_by).toBe('colin');
  });

  it('are refused empty, and of a person who is not there', async () => {
    const { api } = await startAfter(measuredClient);
    const empty = await api.refused('/handover', { id: newId(), clientId: null, words: ' ' });
    expect([empty.status, empty.problem.errors[0]?.path]).toEqual([400, 'words']);
    expect((await api.refused('/handover', { id: newId(), clientId: 'none', words: 'x' })).status).toBe(404);
  });
});
