import { type DBSchema, type IDBPDatabase, openDB } from 'idb';
import type { SessionEvent } from '#core/session/events';
import { store } from '../state/store';
import { ApiProblem, api, read } from './api';
import { bySession } from './by-session';

/** An event the server will never take, with its words; somebody looks at it and lets it go. */
export type SetAside = { id: string; event: SessionEvent; words: string };

/** Events that the server has not confirmed yet, and those it refused, kept on this device by id. */
interface OutboxShape extends DBSchema {
  events: { key: string; value: SessionEvent };
  aside: { key: string; value: SetAside };
}

const RETRY_MS = 2_000;
const MOST_AT_ONCE = 500;

/** What the state line says. `unreached` while the server is away or in trouble. */
export type OutboxState = { unsent: number; unreached: boolean; aside: readonly SetAside[] };

let database: Promise<IDBPDatabase<OutboxShape>> | undefined;
const open = () => {
  database ??= openDB<OutboxShape>('nervato', 2, {
    upgrade: (db, from) => {
      if (from < 1) db.createObjectStore('events', { keyPath: 'id' });
      if (from < 2) db.createObjectStore('aside', { keyPath: 'id' });
    },
  });
  return database;
};

const state = store<OutboxState>({ unsent: 0, unreached: false, aside: [] });
const setState = (part: Partial<OutboxState>): void => state.set({ ...state.get(), ...part });

export const useOutbox = state.use;
export const outboxState = state.get;

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
 * later. The server takes an event once however often it is posted, so a lost answer costs nothing. What it refuses is
 * set aside with its words, and the rest goes on.
 */
export function sendOutbox(): Promise<void> {
  sending ??= sendAll().finally(() => {
    sending = null;
  });
  return sending;
}

async function sendAll(): Promise<void> {
  clearTimeout(retry);
  // Sessions the server had trouble with in this round: the others still go out.
  const troubled = new Set<string>();
  let unreached = false;
  try {
    for (;;) {
      const next = [...bySession(await unsentEvents())].find(([id]) => !troubled.has(id));
      if (!next) break;
      const [id, events] = next;
      if (!(await sendSession(id, events.slice(0, MOST_AT_ONCE)))) troubled.add(id);
    }
  } catch {
    unreached = true;
  }
  const unsent = (await unsentEvents()).length;
  setState({
    unsent,
    unreached: unreached || troubled.size > 0,
    aside: await (await open()).getAll('aside'),
  });
  if (unsent > 0) retry = setTimeout(() => void sendOutbox(), RETRY_MS);
}

/** @returns false when the server was in trouble over this session; @throws when it was not reached at all */
async function sendSession(id: string, part: SessionEvent[]): Promise<boolean> {
  try {
    await read(api.sessions[':id'].events.$post({ param: { id }, json: { events: part } }));
  } catch (error) {
    if (error instanceof TypeError) throw error;
    if (!(error instanceof ApiProblem) || error.body.status >= 500 || error.body.status === 401) return false;
    await setAside(refusedOf(part, error));
    return true;
  }
  await remove(part);
  return true;
}

/** The events a refusal names by their place; all of them where it names none. */
function refusedOf(part: readonly SessionEvent[], { body }: ApiProblem): SetAside[] {
  const named = body.errors.flatMap(({ path, message }) => {
    const event = part[Number(/^events\.(\d+)/.exec(path)?.[1] ?? Number.NaN)];
    return event ? [{ id: event.id, event, words: message }] : [];
  });
  return named.length > 0 ? named : part.map((event) => ({ id: event.id, event, words: body.detail }));
}

async function setAside(refused: readonly SetAside[]): Promise<void> {
  const transaction = (await open()).transaction(['events', 'aside'], 'readwrite');
  await Promise.all([
    ...refused.map((one) => transaction.objectStore('aside').put(one)),
    ...refused.map(({ id }) => transaction.objectStore('events').delete(id)),
    transaction.done,
  ]);
}

async function remove(events: readonly SessionEvent[]): Promise<void> {
  const transaction = (await open()).transaction('events', 'readwrite');
  await Promise.all([...events.map((event) => transaction.store.delete(event.id)), transaction.done]);
  setState({ unsent: await (await open()).count('events') });
}

/** Lets an event go that was set aside: somebody has looked at it. */
export async function letGo(id: string): Promise<void> {
  await (await open()).delete('aside', id);
  setState({ aside: await (await open()).getAll('aside') });
}

if (typeof window !== 'undefined') window.addEventListener('online', () => void sendOutbox());
