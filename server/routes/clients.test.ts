import { describe, expect, it } from 'vitest';
import type { ClientRecord } from '#contract/client';
import { CLEAR, DAY_MS, FIT, measuredClient, OCCLUSION, startApi, TRIAL } from '../api.fixture';

describe('people on record', () => {
  it('adds a person with nothing known, and judges the chain anew after each write', async () => {
    const api = await startApi();
    const added = await api.post('/clients', { name: '  Ada Test ' });
    expect(added.name).toBe('Ada Test');
    expect(added.chain.map(({ state }) => state)).toEqual(Array(6).fill('missing'));
    const screened = await api.post(`/clients/${added.id}/screenings`, CLEAR);
    expect(screened.chain[0]).toMatchObject({ id: 'screen', state: 'good' });
  });

  it('keeps a girth with the width of its cuff and the LOP worked out on the server', async () => {
    const api = await startApi();
    const client = await measuredClient(api);
    expect(client.facts.fits[0]).toMatchObject({ girthCm: 55, cuffId: 'thigh-large', widthCm: 11.5 });
    expect(client.facts.occlusions[0]).toMatchObject({
      pressure: { value: 174 },
      trialsUsed: 2,
      steady: true,
    });
    expect(client.facts.strengthTests[0]?.oneRepMax).toMatchObject({ unit: 'kg', rules: ['LOAD-1'] });
    const trials = await api.sql('select readings from lop_trial order by place');
    expect(trials).toHaveLength(2);
    expect(JSON.parse(trials[0]?.readings ?? '')).toEqual(TRIAL);
  });

  it('lets a measured pressure fall due when its shelf life is over', async () => {
    const api = await startApi();
    const { id } = await measuredClient(api);
    api.clock.nowMs += 29 * DAY_MS;
    const later = await api.get<ClientRecord>(`/clients/${id}`);
    expect(later.chain.find((link) => link.id === 'measure')).toMatchObject({ state: 'due' });
  });
});

it('keeps a pressure as long as is set for the person', async () => {
  const api = await startApi();
  const { id } = await measuredClient(api);
  api.clock.nowMs += 9 * DAY_MS;
  const shorter = await api.post(`/clients/${id}/shelf-life`, { shelfLife: '7-days' });
  expect(shorter.chain.find((link) => link.id === 'measure')).toMatchObject({ state: 'due' });
  const { problem } = await api.refused(`/clients/${id}/shelf-life`, { shelfLife: 'for-ever' });
  expect(problem.errors[0]?.path).toBe('shelfLife');
});

describe('what is refused, beside its field', () => {
  it.each([
    ['fits', { ...FIT, girthCm: 0 }, 422, 'girthCm', 'FIT-1'],
    ['fits', { ...FIT, girthCm: 40 }, 422, 'cuffId', 'FIT-2'],
    ['fits', { ...FIT, cuffId: 'arm-one' }, 422, 'cuffId', 'FIT-1'],
    ['occlusion-pressures', { ...OCCLUSION, limb: 'right-thigh' }, 422, 'limb', 'FIT-1'],
    [
      'occlusion-pressures',
      { ...OCCLUSION, trials: [{ ...TRIAL, goneMmHg: 160 }] },
      400,
      'trials.0.goneMmHg',
      undefined,
    ],
    ['occlusion-pressures', { ...OCCLUSION, trials: [{ ...TRIAL, upMmHg: 1 }] }, 422, 'trials', 'LOP-2'],
    [
      'occlusion-pressures',
      { ...OCCLUSION, trials: [{ goneMmHg: 330, upMmHg: 10, backMmHg: 322, downMmHg: 4 }] },
      422,
      'pressureMmHg',
      'LOP-7',
    ],
    [
      'strength-tests',
      { exerciseId: 'knee-extension', side: 'left', loadKg: 10, reps: 40 },
      400,
      'reps',
      undefined,
    ],
    [
      'strength-tests',
      { exerciseId: 'knee-extension', side: 'left', loadKg: 0, reps: 5 },
      400,
      'loadKg',
      undefined,
    ],
  ])('%s %j', async (what, json, status, path, rule) => {
    const api = await startApi();
    const client = await measuredClient(api);
    const answer = await api.refused(`/clients/${client.id}/${what}`, json);
    expect(answer.status).toBe(status);
    expect(answer.problem.errors[0]).toMatchObject({ path, ...(rule ? { rule } : {}) });
    const after = await api.get<ClientRecord>(`/clients/${client.id}`);
    expect(after.facts).toEqual(client.facts);
  });

  it('names the cuff that would fit', async () => {
    const api = await startApi();
    const { id } = await api.post('/clients', { name: 'Ada' });
    const { problem } = await api.refused(`/clients/${id}/fits`, { ...FIT, girthCm: 40 });
    expect(problem.detail).toContain('Use thigh-small (35–50 cm)');
  });

  it('writes of nobody, unreadable bodies and unknown addresses', async () => {
    const api = await startApi();
    expect((await api.refused('/clients', { name: 'Ada' }, 'nobody')).status).toBe(401);
    expect((await api.refused('/clients', '{"name":')).status).toBe(400);
    expect((await api.refused('/clients', { name: ' ' })).problem.errors[0]?.path).toBe('name');
    expect((await api.call('GET', '/clients/unknown')).status).toBe(404);
    expect((await api.call('GET', '/nowhere')).body).toMatchObject({ title: 'Not found', status: 404 });
  });
});

it('audits each write with who did it, and refuses to have the audit changed', async () => {
  const api = await startApi();
  await measuredClient(api);
  const entries = await api.sql('select action, practitioner_id from audit order by id');
  expect(entries.map(({ action }) => action)).toEqual([
    'client-added',
    'screened',
    'fitted',
    'occlusion-pressure-measured',
    'strength-tested',
  ]);
  expect(new Set(entries.map(({ practitioner_id }) => practitioner_id))).toEqual(new Set(['clara']));
  await expect(api.sql("update audit set action = 'x'")).rejects.toThrow('append-only');
  await expect(api.sql('delete from audit')).rejects.toThrow('append-only');
});
