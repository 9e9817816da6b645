import { pino } from 'pino';
import { expect, it, vi } from 'vitest';
import { signInHere } from '../access/sign-in-here';
import { startApi } from '../api.fixture';
import { createApp } from '../app';
import { demoDatabase } from '../demo.fixture';
import { practiceClock } from '../practice-clock';

const DAY_MS = 86_400_000;

it('moves on by days in a demonstration, and is kept after the next start', async () => {
  const { orm } = await demoDatabase();
  const clock = await practiceClock(orm);
  const app = createApp({ orm, now: clock.now, moveClock: clock.moveOn, log: pino({ level: 'silent' }) });
  const signedIn = await signInHere(orm, 'tobias');
  const ask = async (path: string, json?: object) => {
    const answer = await app.request(`/api${path}`, {
      headers: { 'content-type': 'application/json', ...signedIn },
      ...(json ? { method: 'POST', body: JSON.stringify(json) } : {}),
    });
    return { status: answer.status, body: (await answer.json()) as { nowMs: number; canMove: boolean } };
  };
  const before = await ask('/clock');
  expect(before.body.canMove).toBe(true);
  const moved = await ask('/clock/forward', { days: 7 });
  expect(Math.round((moved.body.nowMs - before.body.nowMs) / DAY_MS)).toBe(7);
  for (const days of [0, -1, 29, 1.5]) expect((await ask('/clock/forward', { days })).status).toBe(400);
  const later = await practiceClock(orm);
  expect(Math.round(((await later.now()) - before.body.nowMs) / DAY_MS)).toBe(7);
});

it('moves on to the same time of a later day across a change of clocks', async () => {
  vi.stubEnv('TZ', 'America/New_York');
  const { orm } = await demoDatabase();
  const machineMs = new Date('2026-10-29T00:10:00-04:00').getTime();
  const clock = await practiceClock(orm, () => machineMs);
  for (const days of [1, 3]) await clock.moveOn(days);
  expect(new Date(await clock.now()).toISOString()).toBe('2026-11-02T05:10:00.000Z');
  vi.unstubAllEnvs();
});

it('cannot be moved in an ordinary practice', async () => {
  const api = await startApi();
  expect(await api.get('/clock')).toMatchObject({ canMove: false });
  expect((await api.refused('/clock/forward', { days: 1 })).status).toBe(404);
});
