import { v4 as newId } from 'uuid';
import { describe, expect, it } from 'vitest';
import type { FoundNote, NewVisitNote, VisitNotes } from '#contract/visit-notes';
import { DAY_MS, measuredClient, startAfter, startApi } from '../api.fixture';

const note = (words: string, atMs: number, corrects: NewVisitNote['corrects'] = null): NewVisitNote => ({
  id: newId(),
  atMs,
  words,
  corrects,
});

describe('notes of visits', () => {
  it('are dated and signed, the newest visit first, and kept once though they are sent twice', async () => {
    const { api, made: client } = await startAfter(measuredClient);
    const path = `/clients/${client.id}/notes`;
    const { nowMs } = api.clock;
    const today = note('Walks without a stick.\nKnee cool.', nowMs);
    const yesterday = note('Slept badly.', nowMs - DAY_MS);
    await api.post(path, today, 'aske');
    await api.post(path, yesterday);
    const { notes } = await api.post<VisitNotes>(path, yesterday);
    expect(notes).toMatchObject([
      { id: today.id, words: today.words, by: 'Aske', atMs: nowMs, writtenAtMs: nowMs, retracted: null },
      { id: yesterday.id, by: 'Clara', atMs: nowMs - DAY_MS, writtenAtMs: nowMs },
    ]);
  });

  it('are refused, not lost, where their id is of a note of another person, or their day is a slip', async () => {
    const { api, made: client } = await startAfter(measuredClient);
    const other = await api.post('/clients', { name: 'Other Person', story: '' });
    const first = note('Walks without a stick.', api.clock.nowMs);
    await api.post(`/clients/${client.id}/notes`, first);
    const same = { ...note('Slept badly.', api.clock.nowMs), id: first.id };
    const refused = await api.refused(`/clients/${other.id}/notes`, same);
    expect([refused.status, refused.problem.detail]).toEqual([
      409,
      expect.stringContaining('enter it again here'),
    ]);
    const slip = note('Slept badly.', Date.UTC(1899, 11, 31));
    expect((await api.refused(`/clients/${other.id}/notes`, slip)).status).toBe(422);
    expect((await api.get<VisitNotes>(`/clients/${other.id}/notes`)).notes).toEqual([]);
  });

  it('are corrected by a clinician: the former stays, struck through, with why', async () => {
    const { api, made: client } = await startAfter(measuredClient);
    const path = `/clients/${client.id}/notes`;
    const wrong = note('Left knee warm.', api.clock.nowMs);
    await api.post(path, wrong, 'aske');
    const right = note('Right knee warm.', api.clock.nowMs, { id: wrong.id, reason: 'The other side' });
    expect((await api.refused(path, right, 'aske')).status).toBe(403);
    const { notes } = await api.post<VisitNotes>(path, right);
    expect(notes.map(({ words, retracted }) => [words, retracted?.reason, retracted?.by]).sort()).toEqual([
      ['Left knee warm.', 'The other side', 'Clara'],
      ['Right knee warm.', undefined, undefined],
    ]);
    const again = note('Both knees warm.', api.clock.nowMs, { id: wrong.id, reason: 'Once more' });
    expect((await api.refused(path, again)).status).toBe(409);
    expect((await api.get<VisitNotes>(path)).notes).toHaveLength(2);
  });

  it('are found by their words, of one person and of all', async () => {
    const { api, made: client } = await startAfter(measuredClient);
    const other = await api.post('/clients', { name: 'Other Person', story: '' });
    const found = note('Über Nacht geschwollen: morgen zuerst MESSEN.', api.clock.nowMs);
    const gone = note('uber nacht: wrong person', api.clock.nowMs);
    await api.post(`/clients/${client.id}/notes`, found);
    await api.post(`/clients/${client.id}/notes`, note('Quiet.', api.clock.nowMs));
    await api.post(`/clients/${other.id}/notes`, gone);
    await api.post(`/clients/${other.id}/retractions`, {
      kind: 'visit-note',
      id: gone.id,
      reason: 'Another person',
    });
    const { notes } = await api.get<VisitNotes>(`/clients/${client.id}/notes?search=uber%20messen`);
    expect(notes.map(({ id }) => id)).toEqual([found.id]);
    expect(await api.get<FoundNote[]>('/clients/notes?search=messen')).toEqual([
      {
        id: found.id,
        client: { id: client.id, name: client.name },
        atMs: api.clock.nowMs,
        words: found.words,
      },
    ]);
    expect(await api.get<FoundNote[]>('/clients/notes?search=nacht')).toHaveLength(1);
    expect(await api.get<FoundNote[]>('/clients/notes?search=%25_')).toEqual([]);
  });

  it('are refused empty, and of a visit that lies ahead', async () => {
    const { api, made: client } = await startAfter(measuredClient);
    const path = `/clients/${client.id}/notes`;
    expect((await api.refused(path, note(' ', api.clock.nowMs))).problem.errors[0]?.path).toBe('words');
    expect((await api.refused(path, note('x', api.clock.nowMs + DAY_MS))).problem.errors[0]?.path).toBe(
      'atMs',
    );
  });

  it('go along in an archive, where they are found again', async () => {
    const { api, made: client } = await startAfter(measuredClient);
    await api.post(`/clients/${client.id}/notes`, note('Geschwollen.', api.clock.nowMs));
    const { text: archive } = await api.text(`/archive/of/${client.id}`);
    const elsewhere = await startApi();
    expect((await elsewhere.raw('POST', '/archive', archive)).status).toBe(201);
    expect(await elsewhere.get<FoundNote[]>('/clients/notes?search=geschwollen')).toHaveLength(1);
  });
});
