import { expect, it } from 'vitest';
import type { RetentionList } from '#contract/client';
import type { PracticeView } from '#contract/practice';
import { CLEAR, DAY_MS, startApi } from '../api.fixture';

it('lists for an owner alone who was last here long enough ago, the longest first, and erases nothing', async () => {
  const api = await startApi();
  const { client: early } = { client: await api.post('/clients', { name: 'Early Bird', story: '' }) };
  api.clock.nowMs += 400 * DAY_MS;
  const later = await api.post('/clients', { name: 'Later Guest', story: '' });
  // Something of hers is recorded two years on, so she was here then.
  await api.post('/clients', { name: 'Still Here', story: '' }).then(async ({ id }) => {
    api.clock.nowMs += 700 * DAY_MS;
    await api.post(`/clients/${id}/screenings`, CLEAR);
  });
  const listed = async () =>
    (await (await api.raw('GET', '/clients/retention', undefined, 'olga')).json()) as RetentionList;
  expect(await listed()).toEqual({ keepYears: null, due: [] });

  const { settings } = await api.get<PracticeView>('/practice');
  await api.post('/practice/settings', { ...settings, keepYears: 3 });
  expect((await listed()).due.map(({ clientId }) => clientId)).toEqual([early.id]);
  await api.post('/practice/settings', { ...settings, keepYears: 1 });
  expect((await listed()).due.map(({ clientId }) => clientId)).toEqual([early.id, later.id]);
  expect((await api.get<{ id: string }>(`/clients/${early.id}`)).id).toBe(early.id);

  expect((await api.raw('GET', '/clients/retention', undefined, 'colin')).status).toBe(403);
  expect((await api.call('POST', '/practice/settings', { ...settings, keepYears: 0 })).status).toBe(400);
});
