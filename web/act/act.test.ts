import 'fake-indexeddb/auto';
import { QueryClient } from '@tanstack/react-query';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import type { Limb } from '#core/quantity';
import type { Intent, SessionEvent } from '#core/session';
import { logOf, SESSION_ID, START_MS, WHOLE_SESSION } from '#core/session/session.fixture';
import { inEnglish } from '#language/render';
import { until } from '../../tests/until';
import { testView } from '../data/session-view.fixture';
import type { PressureSource } from '../devices/pressure-source';

const LIMB: Limb = 'left-thigh';

type Command = Parameters<PressureSource['command']>[0];
type Pump = { kind: PressureSource['kind']; limb?: Limb; sessionId?: string; isLost?: boolean };

let posted: SessionEvent[] = [];
beforeEach(() => {
  posted = [];
  vi.useFakeTimers({ now: START_MS + 30_000, toFake: ['Date'] });
  vi.stubGlobal('localStorage', { getItem: () => 'ines', setItem: () => {} });
  vi.stubGlobal('fetch', async (_: string, init: { body: string }) => {
    posted.push(...JSON.parse(init.body).events);
    return Response.json({ accepted: [] });
  });
});
// What an act appends is sent after it: the network stays stubbed.
afterEach(() => {
  vi.useRealTimers();
  vi.doUnmock('../devices/server-source');
});

/** A page on which the first events of a session are known, with pumps on its cuffs; what each pump is commanded is kept. */
async function page(known: number, ...pumps: Pump[]) {
  const commanded: [Limb, Command][] = [];
  const sources = pumps.map(({ kind, limb = LIMB }) => {
    const listeners: ((frame: { pressureMmHg: number } | null) => void)[] = [];
    const source = {
      kind,
      command: (command: Command) => commanded.push([limb, command]),
      close: () => {},
      subscribe: (listener: (typeof listeners)[number]) => listeners.push(listener),
    };
    return {
      source,
      say: (frame: { pressureMmHg: number } | null) => {
        for (const listener of listeners) listener(frame);
      },
    };
  });
  vi.resetModules();
  let next = 0;
  vi.doMock('../devices/server-source', () => ({ serverSource: async () => sources[next++]?.source }));
  const { connectPump } = await import('../devices/session-pumps');
  for (const [place, { limb = LIMB, sessionId = SESSION_ID, isLost }] of pumps.entries()) {
    await connectPump(sessionId, { limb } as never);
    sources[place]?.say({ pressureMmHg: 0 });
    if (isLost) sources[place]?.say(null);
  }
  const { actAndNotify } = await import('./act');
  const { notices } = await import('../state/notices');
  const view = testView(logOf(WHOLE_SESSION.slice(0, known)));
  const queries = new QueryClient();
  return {
    commanded,
    act: (intent: Intent) => actAndNotify(queries, view, intent),
    actAndNotify: (intent: Intent, about?: string) => actAndNotify(queries, view, intent, about),
    notices: () => notices.get().map(({ words }) => words),
    posted: async () => {
      await until(() => expect(posted).not.toEqual([]));
      return posted;
    },
  };
}

const REGULATED: Pump = { kind: 'regulated' };

describe('an act', () => {
  it('appends what comes of it, at the moment of the key, to the session it is of', async () => {
    const { act, posted: sent } = await page(2);
    const { refused } = act({ do: 'release' });
    expect(refused).toBeNull();
    expect(await sent()).toMatchObject([
      { type: 'cuff-released', limb: LIMB, sessionId: SESSION_ID, atMs: START_MS + 30_000 },
    ]);
  });

  it('decides on the newest state: a second press means what comes after the first', async () => {
    const { act } = await page(1);
    expect(act({ do: 'next' }).events.map(({ type }) => type)).toEqual(['cuff-inflated']);
    expect(act({ do: 'next' }).events.map(({ type }) => type)).toEqual(['set-started']);
  });

  it('brings a regulated pump to the target, which reports by itself when the cuff is up', async () => {
    const { act, commanded } = await page(1, REGULATED);
    const { events } = act({ do: 'next' });
    expect(events).toEqual([]);
    expect(commanded).toEqual([[LIMB, { do: 'inflate-to', pressureMmHg: 104 }]]);
  });

  it('lets the cuff of a pump down on a release', async () => {
    const { act, commanded } = await page(2, REGULATED);
    act({ do: 'release' });
    expect(commanded).toEqual([[LIMB, { do: 'release' }]]);
  });

  it('leaves the pump of another session alone', async () => {
    const { act, commanded } = await page(1, { ...REGULATED, sessionId: 'another' });
    act({ do: 'next' });
    act({ do: 'release' });
    expect(commanded).toEqual([]);
  });
});

describe('a pump', () => {
  it.each<[string, Pump]>([
    ['is inflated by hand', { kind: 'by-hand' }],
    ['was lost', { ...REGULATED, isLost: true }],
    ['is of another session', { ...REGULATED, sessionId: 'another' }],
  ])('that %s is commanded nothing: the cuff is noted as inflated by hand', async (_, pump) => {
    const { act, commanded } = await page(1, pump);
    expect(act({ do: 'next' }).events.map(({ type }) => type)).toEqual(['cuff-inflated']);
    expect(commanded).toEqual([]);
  });
});

describe('a refusal', () => {
  it('is shown with who it is about, and appends nothing', async () => {
    const { actAndNotify, notices } = await page(1);
    const { refused, events } = actAndNotify({ do: 'top-up' }, 'Ada: ');
    expect(refused).not.toBeNull();
    expect(notices()).toEqual([`Ada: ${inEnglish(refused ?? '')}`]);
    // What an act before this one appended may still be on its way to the network.
    expect(events).toEqual([]);
  });

  it('is not shown of the next expected thing, whose key says itself what it waits for', async () => {
    const { actAndNotify, notices } = await page(WHOLE_SESSION.length);
    expect(actAndNotify({ do: 'next' }).refused).not.toBe('');
    expect(notices()).toEqual([]);
  });

  it('is nothing where something was done', async () => {
    const { actAndNotify, notices } = await page(2);
    actAndNotify({ do: 'release' });
    expect(notices()).toEqual([]);
  });
});
