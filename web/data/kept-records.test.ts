import 'fake-indexeddb/auto';
import { beforeEach, expect, it, vi } from 'vitest';
import { until } from '../../tests/until';

const KEY = btoa('0123456789abcdef0123456789abcdef');
let isReached = true;
let who = 'ines';

beforeEach(() => {
  vi.resetModules();
  isReached = true;
  who = 'ines';
  vi.stubGlobal('localStorage', { getItem: () => who, setItem: () => {} });
  vi.stubGlobal('window', { location: { href: 'http://localhost/' } });
  vi.stubGlobal('fetch', async (path: string) => {
    if (!isReached) throw new TypeError('no network');
    return Response.json({ path, at: 'the server' });
  });
});

/** A record that was read while the server was there; it is kept a moment after it is shown. */
async function readOnce(path: string) {
  const { fetchKept } = await import('./kept-records');
  await (await import('./sealed')).takeKey('ines', KEY);
  await fetchKept(path);
  await until(async () => {
    isReached = false;
    expect((await fetchKept(path)).ok).toBe(true);
  });
  return fetchKept;
}

it('gives the record that was read last while the server is away', async () => {
  const fetchKept = await readOnce('/api/clients/one');
  expect(await (await fetchKept('/api/clients/one')).json()).toEqual({
    path: '/api/clients/one',
    at: 'the server',
  });
  await expect(fetchKept('/api/clients/two')).rejects.toThrow(TypeError);
});

it('keeps no files and no streams, and nothing that is written', async () => {
  const { fetchKept } = await import('./kept-records');
  for (const path of ['/api/archive', '/api/feed', '/api/clients/one/block.ics']) await fetchKept(path);
  await fetchKept('/api/clients', { method: 'POST' });
  isReached = false;
  await new Promise((done) => setTimeout(done, 50));
  for (const path of ['/api/archive', '/api/feed', '/api/clients/one/block.ics', '/api/clients'])
    await expect(fetchKept(path)).rejects.toThrow(TypeError);
});

it('gives no one what another has read, and nothing at all once its person has signed out', async () => {
  const fetchKept = await readOnce('/api/clients/three');
  who = 'tobias';
  await expect(fetchKept('/api/clients/three')).rejects.toThrow(TypeError);
  who = 'ines';
  await (await import('./kept-records')).clearRecords();
  await expect(fetchKept('/api/clients/three')).rejects.toThrow(TypeError);
});

it.each(['locked', 'signed-out'] as const)(
  'opens nothing without the server once it has said %s',
  async (state) => {
    const fetchKept = await readOnce('/api/clients/four');
    const { leaveNothing } = await import('./kept-records');
    await leaveNothing('signed-in');
    expect((await fetchKept('/api/clients/four')).ok).toBe(true);
    await leaveNothing(state);
    // A page that is reloaded has no key at hand.
    vi.resetModules();
    const reloaded = await import('./kept-records');
    await expect(reloaded.fetchKept('/api/clients/four')).rejects.toThrow(TypeError);
  },
);
