import { expect, it } from 'vitest';
import type { ClientRecord } from '#contract/client';
import type { SessionView } from '#contract/session';
import { answeredInForce } from '#core/record';
import { fold, mergeLogs, type SessionEvent } from '#core/session';
import { logOf } from '#core/session/session.fixture';
import {
  CLEAR,
  DAY_MS,
  measuredClient,
  OCCLUSION,
  openSession,
  SESSION_ID,
  startAfter,
  startApi,
  TRIAL,
  WELL,
} from './api.fixture';
import { clearance, ready } from './forbidden.fixture';

const YEAR_MS = 365 * DAY_MS;

it('a clock that was a year ahead gains no priority: what is measured after it counts (START-4)', async () => {
  const { api, made: client } = await startAfter(measuredClient);
  const measured = async (goneMmHg: number) => {
    const trial = { ...TRIAL, goneMmHg, backMmHg: goneMmHg - 8 };
    await api.post(`/clients/${client.id}/occlusion-pressures`, { ...OCCLUSION, trials: [trial, trial] });
  };
  const counts = async () =>
    (await api.get<ClientRecord>(`/clients/${client.id}`)).facts.occlusions.map(({ pressure, atMs }) => [
      pressure.value,
      atMs <= api.clock.nowMs,
    ]);
  api.clock.nowMs += YEAR_MS;
  await measured(220);
  api.clock.nowMs -= YEAR_MS - 60_000;
  expect(await counts()).toEqual([[214, true]]);
  await measured(180);
  expect(await counts()).toEqual([[174, true]]);
  // Dated in the past from the start: the same after a restart.
  await api.sql(`update lop set at_ms = ${api.clock.nowMs + YEAR_MS} where pressure_mm_hg = 214`);
  await api.restart();
  expect(await counts()).toEqual([[174, true]]);
});

it('a "no", a clearance, a hold and a day check dated ahead are as old as the moment the clock was right', async () => {
  const { api, made: person } = await startAfter(ready);
  const at = (what: string) => `/clients/${person.client.id}/${what}`;
  api.clock.nowMs += YEAR_MS;
  await api.post(at('day-checks'), { ...WELL, notWell: ['fever'] });
  await api.post(at('clearances'), clearance(api.clock.nowMs, { maxPercentLop: 30, untilMs: null }));
  await api.post(at('screenings'), CLEAR);
  api.clock.nowMs -= YEAR_MS;
  const now = api.clock.nowMs;
  const { facts } = await api.get<ClientRecord>(`/clients/${person.client.id}`);
  expect(facts.dayChecks.map(({ atMs }) => atMs <= now)).not.toContain(false);
  expect(facts.clearances.map(({ givenAtMs }) => givenAtMs)).toEqual([now]);
  expect(facts.holds.map(({ ends }) => ends)).toEqual([{ by: 'time', atMs: now + DAY_MS / 2 }]);
  api.clock.nowMs += 1;
  const found = await api.post(at('screenings'), { ...CLEAR, yes: ['anticoagulants'] });
  expect(answeredInForce(found.facts, api.clock.nowMs).yes).toEqual(['anticoagulants']);
  // Thirty days later none of it is of today.
  api.clock.nowMs += 30 * DAY_MS;
  const later = await api.get<ClientRecord>(`/clients/${person.client.id}`);
  expect(later.facts.holds).toEqual([]);
});

it('a clock set back by two hours loses nothing of a session that is running (RUN-9)', async () => {
  const { api, made: view } = await startAfter(openSession);
  const EVENTS = `/sessions/${SESSION_ID}/events`;
  const set = { exerciseIndex: 0, setIndex: 0 };
  const [started, inflated, begun, ended, released, finished] = logOf([
    [0, { type: 'session-started' }],
    [5, { type: 'cuff-inflated', limb: 'left-thigh', pressureMmHg: 68 }],
    [25, { type: 'set-started', ...set }],
    [85, { type: 'set-ended', ...set, reps: 30, reason: 'done' }],
    [200, { type: 'cuff-released', limb: 'left-thigh' }],
    [300, { type: 'session-finished' }],
  ]);
  const send = async (...events: (SessionEvent | undefined)[]) => {
    // A device stamps by what the server last sent it.
    const { nowMs } = await api.get<{ nowMs: number }>('/clock');
    await api.post(EVENTS, { events: events.map((event) => ({ ...event, atMs: nowMs })) });
  };
  await send(started);
  api.clock.nowMs += 5_000;
  await send(inflated);
  api.clock.nowMs -= 2 * 3_600_000;
  await send(begun);
  api.clock.nowMs += 60_000;
  await send(ended);
  api.clock.nowMs += 60_000;
  await send(released);
  api.clock.nowMs += 60_000;
  await send(finished);
  const { plan, events } = await api.get<SessionView>(`/sessions/${SESSION_ID}`);
  const { sets } = fold(plan, mergeLogs(events));
  expect(sets[0]).toMatchObject({ countedReps: 30, endedAtMs: (sets[0]?.startedAtMs ?? 0) + 60_000 });
  // Once it is over, the clock is what the machine says, and the session lies not ahead of it.
  expect(await api.get<object>('/clock')).toMatchObject({ nowMs: api.clock.nowMs });
  const [row] = await api.sql('select opened_at_ms, finished_at_ms from session');
  expect([Number(row?.opened_at_ms), Number(row?.finished_at_ms)]).toEqual([
    api.clock.nowMs,
    api.clock.nowMs,
  ]);
  expect(view.openedAtMs).toBeGreaterThan(api.clock.nowMs);
});

it('a clock that is put right by a second waits for it', async () => {
  const api = await startApi();
  const aheadMs = async () => (await api.get<{ nowMs: number }>('/clock')).nowMs - api.clock.nowMs;
  expect(await aheadMs()).toBe(0);
  api.clock.nowMs -= 1_500;
  expect(await aheadMs()).toBe(1_500);
  api.clock.nowMs += 2_000;
  expect(await aheadMs()).toBe(0);
});
