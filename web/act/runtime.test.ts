import 'fake-indexeddb/auto';
import { QueryClient } from '@tanstack/react-query';
import { afterEach, beforeEach, expect, it, vi } from 'vitest';
import { testPlan } from '#core/plan/plan.fixture';
import type { SessionEvent } from '#core/session';
import { foldAll as fold, logOf, SESSION_ID, START_MS, WHOLE_SESSION } from '#core/session/session.fixture';
import { until } from '../../tests/until';
import { testView } from '../data/session-view.fixture';

const { plan } = testPlan();
let posted: SessionEvent[] = [];
let online = true;

beforeEach(() => {
  posted = [];
  online = true;
  vi.useFakeTimers({ now: START_MS, toFake: ['Date'] });
  vi.stubGlobal('localStorage', { getItem: () => 'ines', setItem: () => {} });
  vi.stubGlobal('fetch', async (_: string, init: { body: string }) => {
    if (!online) throw new TypeError('no network');
    posted.push(...JSON.parse(init.body).events);
    return Response.json({ accepted: [] });
  });
});
afterEach(() => vi.useRealTimers());

const SET_ONE_OPEN = logOf(WHOLE_SESSION.slice(0, 4));

/** A tab of the browser with one session open: modules of its own over the one IndexedDB. */
async function openTab() {
  vi.resetModules();
  const { unsentEvents, sendOutbox } = await import('../data/outbox');
  const { remembered } = await import('../data/local-log');
  const { thisDevice } = await import('../data/device');
  const { KEYS } = await import('../data/keys');
  const { runtimeOf } = await import('./runtime');
  const queries = new QueryClient();
  return {
    remembered,
    unsentEvents,
    sendOutbox,
    thisDevice,
    /** The page ticks, so long after the start, on a session with these events. */
    tick: (afterMs: number, events: SessionEvent[] = SET_ONE_OPEN) => {
      queries.setQueryData(KEYS.openSessions, [testView(events)]);
      vi.setSystemTime(START_MS + afterMs);
      runtimeOf(queries).tick();
    },
  };
}

const sent = (count: number) => until(() => expect(posted.length).toBeGreaterThanOrEqual(count));

// Set one is under way, and the pace ends it 85 s after the start.
it('records what the clock owes at the time of the pace, not of the look', async () => {
  const tab = await openTab();
  tab.tick(90_000);
  await sent(2);
  expect(posted.map(({ type, atMs }) => [type, atMs - START_MS])).toEqual([
    ['set-ended', 85_000],
    ['rest-started', 85_000],
  ]);
});

it('leaves what the clock owes to the device that runs the session (RUN-9)', async () => {
  const tab = await openTab();
  const [started, ...later] = WHOLE_SESSION.slice(0, 4);
  const runBy = (runner: string) =>
    logOf([[started?.[0] ?? 0, { type: 'session-started', runner }], ...later]);
  tab.tick(90_000, runBy('another tablet'));
  expect(tab.remembered(SESSION_ID)).toEqual([]);
  tab.tick(90_000, runBy(tab.thisDevice));
  expect(tab.remembered(SESSION_ID).map(({ type }) => type)).toEqual(['set-ended', 'rest-started']);
  await sent(2);
});

it('records it once, however often and in however many tabs it is open', async () => {
  const [one, other] = [await openTab(), await openTab()];
  for (const afterMs of [90_000, 90_100, 90_200]) for (const tab of [one, other]) tab.tick(afterMs);
  await sent(4);
  expect(new Set(posted.map(({ id }) => id)).size).toBe(2);
  const kept = fold(plan, [...SET_ONE_OPEN, ...posted]);
  expect(kept.sets).toMatchObject([{ countedReps: 30, endedAtMs: START_MS + 85_000 }]);
});

it('owes nothing before the set is over', async () => {
  const tab = await openTab();
  tab.tick(84_900);
  expect(tab.remembered(SESSION_ID)).toEqual([]);
});

it('keeps what happens without a network, shows it at once, and sends it whole later', async () => {
  online = false;
  const tab = await openTab();
  tab.tick(90_000);
  expect(tab.remembered(SESSION_ID).map(({ type }) => type)).toEqual(['set-ended', 'rest-started']);
  const fresh = await openTab();
  expect(fresh.remembered(SESSION_ID)).toEqual([]);
  await until(async () => expect(await fresh.unsentEvents()).toHaveLength(2));
  online = true;
  await fresh.sendOutbox();
  expect(posted.map(({ type }) => type).sort()).toEqual(['rest-started', 'set-ended']);
  expect(await fresh.unsentEvents()).toEqual([]);
});

it('numbers the events of a tab one after the other, and never shares numbers with another', async () => {
  const [one, other] = [await openTab(), await openTab()];
  const later = logOf(WHOLE_SESSION.slice(0, 8));
  one.tick(90_000);
  one.tick(147_000, later);
  await sent(4);
  other.tick(147_000, later);
  await sent(6);
  const devices = new Map<string, number[]>();
  const events = new Map(posted.map((event) => [`${event.id} ${event.deviceId}`, event]));
  for (const { deviceId, seq } of events.values())
    devices.set(deviceId, [...(devices.get(deviceId) ?? []), seq]);
  expect(devices.size).toBe(2);
  for (const seqs of devices.values()) expect(new Set(seqs).size).toBe(seqs.length);
});
