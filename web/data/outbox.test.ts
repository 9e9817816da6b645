import 'fake-indexeddb/auto';
import { afterEach, beforeEach, expect, it, vi } from 'vitest';
import { logOf, WHOLE_SESSION } from '#core/session/session.fixture';
import { until } from '../../tests/until';

const LOG = logOf(WHOLE_SESSION);
const posted: string[][] = [];
let answer: () => Response = () => Response.json({ accepted: [] });

const refusal = (status: number) => () =>
  Response.json(
    {
      type: 'about:blank',
      title: 'No',
      status,
      detail: 'Not this one.',
      says: { message: 'Not this one.' },
      errors: [],
    },
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
  await until(async () => expect(await outbox.unsentEvents()).toEqual([]));
});

const other = LOG.map((event) => ({
  ...event,
  id: event.id.replace(/^0/, 'a'),
  sessionId: '00000000-0000-4000-8000-00000000000b',
}));
const isOther = () => posted.at(-1)?.some((id) => id.startsWith('a')) ?? false;

it('lets trouble with one session never stall another', async () => {
  const outbox = await import('./outbox');
  await outbox.keep([...LOG, ...other]);
  answer = () => (isOther() ? Response.json({}) : refusal(500)());
  await outbox.sendOutbox();
  expect(ids(await outbox.unsentEvents())).toEqual(ids(LOG));
  answer = () => Response.json({});
  await outbox.sendOutbox();
  expect(await outbox.unsentEvents()).toEqual([]);
});

it('sets aside what is refused by name, sends the rest, and keeps it until it is let go', async () => {
  const outbox = await import('./outbox');
  const [bad, ...good] = LOG;
  await outbox.keep(LOG);
  answer = () => {
    const place = posted.at(-1)?.indexOf(bad?.id ?? '') ?? -1;
    if (place < 0) return Response.json({});
    const errors = [{ path: `events.${place}.atMs`, message: { message: 'Too early.' } }];
    return Response.json(
      {
        type: 'about:blank',
        title: 'No',
        status: 422,
        detail: 'Too early.',
        says: { message: 'Too early.' },
        errors,
      },
      { status: 422 },
    );
  };
  await outbox.sendOutbox();
  expect(await outbox.unsentEvents()).toEqual([]);
  expect(posted.at(-1)?.sort()).toEqual(ids(good));
  expect(outbox.outboxState().aside).toMatchObject([{ id: bad?.id, words: 'Too early.' }]);
  await outbox.letGo(bad?.id ?? '');
  expect(outbox.outboxState().aside).toEqual([]);
});

it('sends no one else’s: what was kept by one waits, sealed, for them', async () => {
  answer = () => {
    throw new TypeError('no network');
  };
  const hers = await import('./outbox');
  await hers.keep(LOG.slice(0, 3));
  vi.resetModules();
  vi.stubGlobal('localStorage', { getItem: () => 'tobias', setItem: () => {} });
  answer = () => Response.json({ accepted: [] });
  posted.length = 0;
  const his = await import('./outbox');
  await his.sendOutbox();
  expect([posted, await his.unsentEvents()]).toEqual([[], []]);
  expect(his.outboxState()).toMatchObject({ unsent: 0, ofOthers: 3 });
  vi.resetModules();
  vi.stubGlobal('localStorage', { getItem: () => 'ines', setItem: () => {} });
  const again = await import('./outbox');
  await again.sendOutbox();
  expect(posted.flat().sort()).toEqual(ids(LOG.slice(0, 3)));
});
