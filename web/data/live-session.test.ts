import 'fake-indexeddb/auto';
import { QueryClient } from '@tanstack/react-query';
import { afterEach, beforeEach, expect, it, vi } from 'vitest';
import { testPlan } from '#core/plan/plan.fixture';
import { mergeLogs, type SessionEvent } from '#core/session';
import { foldAll as fold, logOf, SESSION_ID, START_MS, WHOLE_SESSION } from '#core/session/session.fixture';
import { testView } from './session-view.fixture';

const { plan } = testPlan();
const queries = new QueryClient();
let posted: SessionEvent[] = [];
let online = true;

beforeEach(() => {
  posted = [];
  online = true;
  vi.stubGlobal('localStorage', { getItem: () => 'ines', setItem: () => {} });
  vi.stubGlobal('fetch', async (_: string, init: { body: string }) => {
    if (!online) throw new TypeError('no network');
    posted.push(...JSON.parse(init.body).events);
    return Response.json({ accepted: [] });
  });
});
afterEach(() => vi.unstubAllGlobals());

/** A tab of the browser: modules of its own over the one IndexedDB. */
async function openTab() {
  vi.resetModules();
  const outbox = await import('./outbox');
  return { ...(await import('./live-session')), ...outbox, ...(await import('./local-log')) };
}

const SET_ONE_OPEN = logOf(WHOLE_SESSION.slice(0, 4));
/** The session with set one under way, which the pace ends 85 s after the start. */
const session = (events: SessionEvent[] = SET_ONE_OPEN) => ({
  view: testView(events),
  log: mergeLogs(events),
  state: fold(plan, events),
});

it('records what the clock owes at the time of the pace, not of the look', async () => {
  const tab = await openTab();
  await tab.appendDue(queries, session(), START_MS + 90_000);
  expect(posted.map(({ type, atMs }) => [type, atMs - START_MS])).toEqual([
    ['set-ended', 85_000],
    ['rest-started', 85_000],
  ]);
});

it('leaves what the clock owes to the device that runs the session (RUN-9)', async () => {
  const tab = await openTab();
  const [started, ...later] = WHOLE_SESSION.slice(0, 4);
  const runBy = (runner: string) =>
    session(logOf([[started?.[0] ?? 0, { type: 'session-started', runner }], ...later]));
  await tab.appendDue(queries, runBy('another tablet'), START_MS + 90_000);
  expect(posted).toEqual([]);
  await tab.appendDue(queries, runBy((await import('./device')).thisDevice), START_MS + 90_000);
  expect(posted.map(({ type }) => type)).toEqual(['set-ended', 'rest-started']);
});

it('records it once, however often and in however many tabs it is open', async () => {
  const [one, other] = [await openTab(), await openTab()];
  const looks = [90_000, 90_100, 90_200].flatMap((afterMs) =>
    [one, other].map((tab) => tab.appendDue(queries, session(), START_MS + afterMs)),
  );
  await Promise.all(looks);
  expect(new Set(posted.map(({ id }) => id)).size).toBe(2);
  const kept = fold(plan, [...SET_ONE_OPEN, ...posted]);
  expect(kept.sets).toMatchObject([{ countedReps: 30, endedAtMs: START_MS + 85_000 }]);
});

it('owes nothing before the set is over', async () => {
  const tab = await openTab();
  await tab.appendDue(queries, session(), START_MS + 84_900);
  expect(posted).toEqual([]);
});

it('keeps what happens without a network, shows it at once, and sends it whole later', async () => {
  online = false;
  const tab = await openTab();
  await tab.appendDue(queries, session(), START_MS + 90_000);
  expect(tab.remembered(SESSION_ID).map(({ type }) => type)).toEqual(['set-ended', 'rest-started']);
  const fresh = await openTab();
  expect(fresh.remembered(SESSION_ID)).toEqual([]);
  expect(await fresh.unsentEvents()).toHaveLength(2);
  online = true;
  await fresh.sendOutbox();
  expect(posted.map(({ type }) => type).sort()).toEqual(['rest-started', 'set-ended']);
  expect(await fresh.unsentEvents()).toEqual([]);
});

it('numbers the events of a tab one after the other, and never shares numbers with another', async () => {
  const [one, other] = [await openTab(), await openTab()];
  await one.appendDue(queries, session(), START_MS + 90_000);
  const later = session(logOf(WHOLE_SESSION.slice(0, 9)));
  await one.appendDue(queries, later, START_MS + 147_000);
  await other.appendDue(queries, later, START_MS + 147_000);
  const devices = new Map<string, number[]>();
  for (const { deviceId, seq } of posted) devices.set(deviceId, [...(devices.get(deviceId) ?? []), seq]);
  for (const seqs of devices.values()) expect(new Set(seqs).size).toBe(seqs.length);
});
