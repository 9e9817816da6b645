import { type DBSchema, deleteDB, openDB } from 'idb';
import type { SignInState } from '#contract/sign-in';
import { workingPractitioner } from './practitioner';
import { dropKeys, type Sealed, seal, unseal } from './sealed';

// Records that were read are kept on the device, sealed, newest first from the server: an open session goes on without it.

const KEPT = /^\/api\/(practice|clients|sessions)(\/[^/?]*)?(\/last-review)?(\?.*)?$/;
const MOST = 200;
const LONGEST_MS = 7 * 86_400_000;

interface RecordsShape extends DBSchema {
  records: {
    key: [string, string];
    value: { by: string; path: string; atMs: number; sealed: Sealed };
    indexes: { atMs: number };
  };
}

// Of another name where records have another shape than in the release before: those it kept could not be read.
const NAME = 'nervato-records-3';
const BEFORE = ['nervato-records', 'nervato-records-2'];

const open = () =>
  openDB<RecordsShape>(NAME, 1, {
    upgrade: (db) =>
      void db.createObjectStore('records', { keyPath: ['by', 'path'] }).createIndex('atMs', 'atMs'),
  });

/** Fetches as a browser does; a record that the server cannot be asked for now is the one that was read last by the same person. */
export async function fetchKept(input: RequestInfo | URL, init?: RequestInit): Promise<Response> {
  const by = workingPractitioner.get();
  if ((init?.method ?? 'GET') !== 'GET' || by === '') return fetch(input, init);
  const path = pathOf(input);
  if (!KEPT.test(path)) return fetch(input, init);
  try {
    const answer = await fetch(input, init);
    if (answer.ok)
      void answer
        .clone()
        .text()
        .then((text) => keepRecord(by, path, text))
        .catch(() => {});
    return answer;
  } catch (error) {
    const text = await keptRecord(by, path);
    if (text === undefined) throw error;
    return new Response(text, { headers: { 'content-type': 'application/json' } });
  }
}

function pathOf(input: RequestInfo | URL): string {
  const { pathname, search } = new URL(input instanceof Request ? input.url : input, window.location.href);
  return pathname + search;
}

async function keepRecord(by: string, path: string, text: string): Promise<void> {
  const sealed = await seal(by, text);
  const transaction = (await open()).transaction('records', 'readwrite');
  await transaction.store.put({ by, path, atMs: Date.now(), sealed });
  let cursor =
    (await transaction.store.count()) > MOST ? await transaction.store.index('atMs').openCursor() : null;
  for (let over = (await transaction.store.count()) - MOST; cursor && over > 0; over -= 1) {
    await cursor.delete();
    cursor = await cursor.continue();
  }
  await transaction.done;
}

async function keptRecord(by: string, path: string): Promise<string | undefined> {
  const kept = await (await open()).get('records', [by, path]);
  if (!kept || Date.now() - kept.atMs > LONGEST_MS) return undefined;
  return unseal<string>(by, kept.sealed);
}

/** Takes what was kept off this device: its person has signed out. */
export async function clearRecords(): Promise<void> {
  await (await open()).clear('records');
}

/**
 * A person who is signed out or locked by the server's word, on another device or by time, leaves nothing here that opens a record without it.
 */
export async function leaveNothing(state: SignInState['state']): Promise<void> {
  if (state === 'locked' || state === 'signed-out') await dropKeys();
  if (state === 'signed-out') await clearRecords();
}

/** What releases before kept: at first as it was, in a cache of their own, then in other shapes. */
export const clearOldCache = async (): Promise<void> => {
  // It goes once no page of that release is open; nothing waits for that.
  for (const name of BEFORE) void deleteDB(name);
  await globalThis.caches?.delete('records');
};
