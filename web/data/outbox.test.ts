import 'fake-indexeddb/auto';
import { afterEach, beforeEach, expect, it, vi } from 'vitest';
import { logOf, WHOLE_SESSION } from '#core/session/session.fixture';

const LOG = logOf(WHOLE_SESSION);
const posted: string[][] = [];
let answer: () => Response = () => Response.json({ accepted: [] });

const refusal = (status: number) => () =>
  Response.json(
    { type: 'about:blank', title: 'No', status, detail: 'Not this one.', errors: [] },
    { status },
  );

beforeEach(() => {
  vi.resetModules();
  vi.useFakeTimers({ toFake: ['setTimeout', 'clearTimeout'] });
  posted.length = 0;
  answer = () => Response.json({ accepted: [] });
  vi.stubGlobal('localStorage', { getItem: () => 'ines', setItem: () => {} });
  vi.stubGlobal('fetch', async (_: string, init: { body: string }) => {
    posted.push(JSON.parse(init.body).events.map((event: { id: string }) => event.id));
    return answer();
  });
});
afterEach(() => vi.useRealTimers());

const ids = (events: readonly { id: string }[]) => events.map(({ id }) => id).sort();

it('keeps events until the server has confirmed them, through a new page', async () => {
  answer = () => {
    throw new TypeError('no network');
  };
  const before = await import('./outbox');
  await before.keep(LOG);
  await before.sendOutbox();
  expect(ids(await before.unsentEvents())).toEqual(ids(LOG));

  vi.resetModules();
  answer = () => Response.json({ accepted: [] });
  const after = await import('./outbox');
  expect(ids(await after.unsentEvents())).toEqual(ids(LOG));
  await after.sendOutbox();
  expect(posted.at(-1)?.sort()).toEqual(ids(LOG));
  expect(await after.unsentEvents()).toEqual([]);
});

it('tries again by itself while the server is away', async () => {
  answer = refusal(503);
  const outbox = await import('./outbox');
  await outbox.keep(LOG.slice(0, 2));
  await outbox.sendOutbox();
  expect(await outbox.unsentEvents()).toHaveLength(2);
  answer = () => Response.json({ accepted: [] });
  await vi.advanceTimersByTimeAsync(2_000);
  await vi.waitFor(async () => expect(await outbox.unsentEvents()).toEqual([]));
});

it('keeps what one session is refused, and still sends the others', async () => {
  const other = LOG.map((event) => ({
    ...event,
    id: event.id.replace(/^0/, 'a'),
    sessionId: '00000000-0000-4000-8000-00000000000b',
  }));
  const outbox = await import('./outbox');
  await outbox.keep([...LOG, ...other]);
  answer = () => (posted.at(-1)?.[0]?.startsWith('a') ? Response.json({}) : refusal(422)());
  await outbox.sendOutbox();
  expect(ids(await outbox.unsentEvents())).toEqual(ids(LOG));
  answer = () => Response.json({});
  await outbox.sendOutbox();
  expect(await outbox.unsentEvents()).toEqual([]);
});
