import { type DBSchema, type IDBPDatabase, type IDBPTransaction, openDB } from 'idb';
import { presentName, type SessionEvent } from '#core/session';
import { translate } from '../language/translate';
import { store } from '../state/store';
import { ApiProblem, api, read } from './api';
import { bySession } from './by-session';
import { workingPractitioner } from './practitioner';
import { type Sealed, seal, unseal } from './sealed';

/** An event the server will never take, with its words; it is shown until a person lets it go. */
export type SetAside = { id: string; event: SessionEvent; words: string };

/** What is kept here of a practitioner: only they send it, and only they can read it. */
type Kept = { id: string; by: string; sealed: Sealed };

/** Events that the server has not confirmed yet, and those it refused, kept on this device by id. */
interface OutboxShape extends DBSchema {
  events: { key: string; value: Kept };
  aside: { key: string; value: Kept };
}

const RETRY_MS = 2_000;
const MOST_AT_ONCE = 500;

/** What the state line says. `unreached` while the server is away or in trouble; `ofOthers` wait for who made them to sign in. */
export type OutboxState = {
  unsent: number;
  unreached: boolean;
  ofOthers: number;
  aside: readonly SetAside[];
};

let database: Promise<IDBPDatabase<OutboxShape>> | undefined;
const open = () => {
  database ??= openDB<OutboxShape>('nervato', 3, {
    upgrade: async (db, from, _, transaction) => {
      if (from < 1) db.createObjectStore('events', { keyPath: 'id' });
      if (from < 2) db.createObjectStore('aside', { keyPath: 'id' });
      else if (from < 3) await wrapOld(transaction);
    },
  });
  return database;
};

const state = store<OutboxState>({ unsent: 0, unreached: false, ofOthers: 0, aside: [] });
const setState = (part: Partial<OutboxState>): void => state.set({ ...state.get(), ...part });

export const useOutbox = state.use;
export const outboxState = state.get;

/** Releases before sign-in kept everything plain, without a name: it belongs to the first person who signs in. */
async function wrapOld(
  transaction: IDBPTransaction<OutboxShape, ('events' | 'aside')[], 'versionchange'>,
): Promise<void> {
  for (const name of ['events', 'aside'] as const) {
    const kept = transaction.objectStore(name);
    for (const old of (await kept.getAll()) as { id: string }[])
      await kept.put({ id: old.id, by: '', sealed: { plain: JSON.stringify(old) } });
  }
}

// What this page kept or opened itself need not be opened again.
const opened = new Map<string, SessionEvent>();
const isOwn = ({ by }: Kept): boolean => by === '' || by === workingPractitioner.get();

const openKept = <T>({ by, sealed }: Kept): Promise<T | undefined> => unseal<T>(by, sealed);

/** Events of who is signed in that are still kept here, for all sessions. */
export async function unsentEvents(): Promise<SessionEvent[]> {
  const kept = (await (await open()).getAll('events')).filter(isOwn);
  const events = await Promise.all(
    kept.map(async (one) => opened.get(one.id) ?? (await openKept<SessionEvent>(one))),
  );
  return events.flatMap((event) => (event === undefined ? [] : [presentName(event)]));
}

/** Keeps events on this device; resolves when they would survive a crash. The network comes after. */
export async function keep(events: readonly SessionEvent[]): Promise<void> {
  const by = workingPractitioner.get();
  const sealed = await Promise.all(events.map((event) => seal(by, event)));
  for (const event of events) opened.set(event.id, event);
  const transaction = (await open()).transaction('events', 'readwrite');
  await Promise.all([
    ...events.map(({ id }, place) => transaction.store.put({ id, by, sealed: sealed[place] as Sealed })),
    transaction.done,
  ]);
  await count();
}

/** Says how much is kept here, of who is signed in and of others. */
async function count(): Promise<void> {
  const kept = await (await open()).getAll('events');
  const unsent = kept.filter(isOwn).length;
  setState({ unsent, ofOthers: kept.length - unsent });
}

async function keptAside(): Promise<SetAside[]> {
  const kept = (await (await open()).getAll('aside')).filter(isOwn);
  const aside = await Promise.all(kept.map((one) => openKept<SetAside>(one)));
  return aside.filter((one) => one !== undefined);
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
  await count();
  const { unsent } = state.get();
  setState({ unreached: unreached || troubled.size > 0, aside: await keptAside() });
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
    return event ? [{ id: event.id, event, words: translate(message) }] : [];
  });
  return named.length > 0 ? named : part.map((event) => ({ id: event.id, event, words: body.detail }));
}

async function setAside(refused: readonly SetAside[]): Promise<void> {
  const by = workingPractitioner.get();
  const sealed = await Promise.all(refused.map((one) => seal(by, one)));
  const transaction = (await open()).transaction(['events', 'aside'], 'readwrite');
  await Promise.all([
    ...refused.map(({ id }, place) =>
      transaction.objectStore('aside').put({ id, by, sealed: sealed[place] as Sealed }),
    ),
    ...refused.map(({ id }) => transaction.objectStore('events').delete(id)),
    transaction.done,
  ]);
}

async function remove(events: readonly SessionEvent[]): Promise<void> {
  const transaction = (await open()).transaction('events', 'readwrite');
  await Promise.all([...events.map((event) => transaction.store.delete(event.id)), transaction.done]);
  for (const { id } of events) opened.delete(id);
  await count();
}

/** Lets an event go that was set aside: it was looked at. */
export async function letGo(id: string): Promise<void> {
  await (await open()).delete('aside', id);
  setState({ aside: await keptAside() });
}

if (typeof window !== 'undefined') window.addEventListener('online', () => void sendOutbox());
