import { describe, expect, it } from 'vitest';
import type { ClientRecord } from '#contract/client';
import { testCuff } from '#core/plan/plan.fixture';
import { EXERCISES } from '#core/protocol';
import { englishOf } from '#language/english-of.fixture';
import { CLEAR, DAY_MS, FIT, measuredClient, OCCLUSION, startAfter, startApi, TRIAL } from '../api.fixture';

describe('people on record', () => {
  it('adds a person with nothing known, and judges the chain again after each write', async () => {
    const api = await startApi();
    const added = await api.post('/clients', { name: '  Ada Test ' });
    expect(added.name).toBe('Ada Test');
    expect(added.chain.map(({ state }) => state)).toEqual(Array(6).fill('missing'));
    const screened = await api.post(`/clients/${added.id}/screenings`, CLEAR);
    expect(englishOf(screened.chain[0])).toMatchObject({ id: 'screen', state: 'good' });
  });

  it('keeps a girth with the width of its cuff and the LOP worked out on the server', async () => {
    const { api, made: client } = await startAfter(measuredClient);
    expect(client.facts.fits[0]).toMatchObject({ girthCm: 55, cuffId: 'thigh-large', widthCm: 11.5 });
    expect(englishOf(client.facts.occlusions[0])).toMatchObject({
      pressure: { value: 174 },
      trialsUsed: 2,
      steady: true,
    });
    expect(englishOf(client.facts.strengthTests[0]?.oneRepMax)).toMatchObject({
      unit: 'kg',
      rules: ['LOAD-1'],
    });
    const trials = await api.sql('select readings from lop_trial order by place');
    expect(trials).toHaveLength(2);
    expect(JSON.parse(trials[0]?.readings ?? '')).toEqual(TRIAL);
  });

  it('lets a measured pressure fall due when its shelf life is over', async () => {
    const {
      api,
      made: { id },
    } = await startAfter(measuredClient);
    api.clock.nowMs += 29 * DAY_MS;
    const later = await api.get<ClientRecord>(`/clients/${id}`);
    expect(englishOf(later.chain.find((link) => link.id === 'measure'))).toMatchObject({ state: 'due' });
  });
});

it('keeps a pressure as long as is set for the person', async () => {
  const {
    api,
    made: { id },
  } = await startAfter(measuredClient);
  api.clock.nowMs += 9 * DAY_MS;
  const shorter = await api.post(`/clients/${id}/shelf-life`, { shelfLife: '7-days' });
  expect(englishOf(shorter.chain.find((link) => link.id === 'measure'))).toMatchObject({ state: 'due' });
  const { problem } = await api.refused(`/clients/${id}/shelf-life`, { shelfLife: 'for-ever' });
  expect(problem.errors[0]?.path).toBe('shelfLife');
});

it('keeps a pressure of one limb for longer or shorter than the others (LOP-6)', async () => {
  const {
    api,
    made: { id },
  } = await startAfter(measuredClient);
  const set = (body: object) => api.post<ClientRecord>(`/clients/${id}/shelf-life`, body);
  api.clock.nowMs += 9 * DAY_MS;
  const measure = ({ chain }: ClientRecord) => chain.find((link) => link.id === 'measure')?.state;
  expect(measure(await set({ limb: 'right-thigh', shelfLife: '7-days' }))).toBe('good');
  const left = await set({ limb: 'left-thigh', shelfLife: '7-days' });
  expect(measure(left)).toBe('due');
  expect(left.facts.limbShelfLives).toEqual([
    { limb: 'right-thigh', shelfLife: '7-days' },
    { limb: 'left-thigh', shelfLife: '7-days' },
  ]);
  expect(measure(await set({ limb: 'left-thigh', shelfLife: null }))).toBe('good');
  const { problem } = await api.refused(`/clients/${id}/shelf-life`, { shelfLife: null });
  expect(englishOf(problem.errors[0]?.message)).toMatch(/Say how long/);
});

describe('what only a clinician may change (SCR-4)', () => {
  const stack = { kind: 'stack', id: 'new', label: 'New stack', lightestKg: 5, stepKg: 5, heaviestKg: 50 };
  const strap = {
    id: 'strap-new',
    label: 'New strap',
    limbKind: 'leg',
    widthCm: 5,
    firstMark: 0,
    lastMark: 10,
  };
  const exercise = EXERCISES['knee-extension'];
  it.each([
    ['how long a pressure is kept', 'shelf-life', { shelfLife: '8-weeks' }, false],
    [
      'a cuff',
      'kit',
      { list: 'cuffs', item: { ...testCuff, id: 'thigh-large', maxPressureMmHg: 400 } },
      false,
    ],
    [
      'a gauge',
      'kit',
      { list: 'pumps', item: { id: 'p', label: 'P', kind: 'by-hand', divisionMmHg: 1, keepsPressure: true } },
      false,
    ],
    ['whether a cuff is in use', 'kit/retire', { list: 'cuffs', id: 'thigh-large' }, false],
    [
      'a standard exercise',
      'exercises',
      { id: 'knee-extension', exercise: { ...exercise, rung: 'isometric' } },
      false,
    ],
    ['a standard exercise back', 'exercises/retire', { id: 'knee-extension' }, false],
    ['weights', 'kit', { list: 'weightKits', item: stack }, true],
    ['a strap', 'kit', { list: 'straps', item: strap }, true],
    ['an exercise of one’s own', 'exercises', { id: 'own', exercise }, true],
  ])('%s', async (_, where, json, coachMay) => {
    const {
      api,
      made: { id },
    } = await startAfter(measuredClient);
    // Only what the practice says otherwise can go back to what it was.
    if (where === 'exercises/retire') await api.post('/practice/exercises', { ...json, exercise });
    const path = where === 'shelf-life' ? `/clients/${id}/shelf-life` : `/practice/${where}`;
    const asCoach = await api.call('POST', path, json, 'colin');
    expect(asCoach.status).toBe(coachMay ? 200 : 403);
    if (!coachMay) expect(JSON.stringify(asCoach.body)).toContain('SCR-4');
    expect((await api.call('POST', path, json, 'clara')).status).toBe(200);
  });
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
    const { api, made: client } = await startAfter(measuredClient);
    const answer = await api.refused(`/clients/${client.id}/${what}`, json);
    expect(answer.status).toBe(status);
    expect(englishOf(answer.problem.errors[0])).toMatchObject({ path, ...(rule ? { rule } : {}) });
    const after = await api.get<ClientRecord>(`/clients/${client.id}`);
    expect(after.facts).toEqual(client.facts);
  });

  it('names the cuff that would fit', async () => {
    const api = await startApi();
    const { id } = await api.post('/clients', { name: 'Ada' });
    const { problem } = await api.refused(`/clients/${id}/fits`, { ...FIT, girthCm: 40 });
    expect(problem.detail).toContain('Use thigh-small (35–50 cm)');
  });

  it('writes without a sign-in, unreadable bodies and unknown addresses', async () => {
    const api = await startApi();
    expect((await api.refused('/clients', { name: 'Ada' }, 'signed-out')).status).toBe(401);
    expect((await api.refused('/clients', '{"name":')).status).toBe(400);
    expect((await api.refused('/clients', { name: ' ' })).problem.errors[0]?.path).toBe('name');
    expect((await api.call('GET', '/clients/unknown')).status).toBe(404);
    expect((await api.call('GET', '/nowhere')).body).toMatchObject({ title: 'Not found', status: 404 });
  });
});

it('audits each write with who did it, and refuses to have the audit changed', async () => {
  const { api } = await startAfter(measuredClient);
  const entries = await api.sql('select action, practitioner_id from audit order by id');
  expect(entries.map(({ action }) => action)).toEqual([
    'client-added',
    'screened',
    'consent-recorded',
    'fitted',
    'occlusion-pressure-measured',
    'strength-tested',
  ]);
  expect(new Set(entries.map(({ practitioner_id }) => practitioner_id))).toEqual(new Set(['clara']));
  await expect(api.sql("update audit set action = 'x'")).rejects.toThrow('append-only');
  await expect(api.sql('delete from audit')).rejects.toThrow('append-only');
});
