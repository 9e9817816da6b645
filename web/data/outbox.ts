import { type DBSchema, type IDBPDatabase, openDB } from 'idb';
import type { SessionEvent } from '#core/session/events';
import { store } from '../parts/store';
import { ApiProblem, api, read } from './api';
import { bySession } from './by-session';

/** Events that the server has not confirmed yet, kept on this device by id. */
interface OutboxShape extends DBSchema {
  events: { key: string; value: SessionEvent };
}

const RETRY_MS = 2_000;
const MOST_AT_ONCE = 500;

/** What the state line says. `trouble` is null while all is well or on its way. */
export type OutboxState = {
  unsent: number;
  trouble: 'unreached' | 'refused' | null;
  /** What the server said, when it refused. */
  words: string;
};

let database: Promise<IDBPDatabase<OutboxShape>> | undefined;
const open = () => {
  database ??= openDB<OutboxShape>('nervato', 1, {
    upgrade: (db) => {
      db.createObjectStore('events', { keyPath: 'id' });
    },
  });
  return database;
};

const state = store<OutboxState>({ unsent: 0, trouble: null, words: '' });
const setState = (part: Partial<OutboxState>): void => state.set({ ...state.get(), ...part });

export const useOutbox = state.use;

/** Events still kept here, for all sessions. */
export const unsentEvents = async (): Promise<SessionEvent[]> => (await open()).getAll('events');

/** Keeps events on this device; resolves when they would survive a crash. The network comes after. */
export async function keep(events: readonly SessionEvent[]): Promise<void> {
  const transaction = (await open()).transaction('events', 'readwrite');
  await Promise.all([...events.map((event) => transaction.store.put(event)), transaction.done]);
  setState({ unsent: await (await open()).count('events') });
}

let sending: Promise<void> | null = null;
let retry: ReturnType<typeof setTimeout> | undefined;

/**
 * Posts what is kept, session by session, until nothing is left or the server does not take it; then tries again
 * later. The server takes an event once however often it is posted, so a lost answer costs nothing.
 */
export function sendOutbox(): Promise<void> {
  sending ??= sendAll().finally(() => {
    sending = null;
  });
  return sending;
}

async function sendAll(): Promise<void> {
  clearTimeout(retry);
  let refused: ApiProblem | null = null;
  try {
    for (;;) {
      const waiting = await unsentEvents();
      const next = [...bySession(waiting)].find(([id]) => !failed.has(id));
      if (!next) break;
      refused = (await sendSession(...next)) ?? refused;
    }
    const unsent = (await unsentEvents()).length;
    setState({ unsent, trouble: refused ? 'refused' : null, words: refused?.body.detail ?? '' });
  } catch {
    setState({ unsent: (await unsentEvents()).length, trouble: 'unreached', words: '' });
  }
  failed.clear();
  if (state.get().unsent > 0) retry = setTimeout(() => void sendOutbox(), RETRY_MS);
}

// Sessions whose events were refused in this round: the others still go out.
const failed = new Set<string>();

async function sendSession(id: string, events: SessionEvent[]): Promise<ApiProblem | null> {
  const part = events.slice(0, MOST_AT_ONCE);
  try {
    await read(api.sessions[':id'].events.$post({ param: { id }, json: { events: part } }));
  } catch (error) {
    if (!(error instanceof ApiProblem) || error.body.status >= 500) throw error;
    failed.add(id);
    return error;
  }
  const transaction = (await open()).transaction('events', 'readwrite');
  await Promise.all([...part.map((event) => transaction.store.delete(event.id)), transaction.done]);
  setState({ unsent: await (await open()).count('events') });
  return null;
}

if (typeof window !== 'undefined') window.addEventListener('online', () => void sendOutbox());
