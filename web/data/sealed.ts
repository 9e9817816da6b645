import { type DBSchema, openDB } from 'idb';

/** A value as it lies on this device: sealed, or plain where the browser seals nothing (an address without TLS). */
export type Sealed = { iv: Uint8Array<ArrayBuffer>; data: ArrayBuffer } | { plain: string };

interface KeysShape extends DBSchema {
  keys: { key: string; value: CryptoKey };
}

const open = () =>
  openDB<KeysShape>('nervato-keys', 1, { upgrade: (db) => void db.createObjectStore('keys') });

// While the page lives a key is at hand, so that what happens under a cuff is kept though the screen is locked.
const inHand = new Map<string, CryptoKey>();
const canSeal = () => typeof crypto !== 'undefined' && crypto.subtle !== undefined;

/** Takes up the key that signing in has brought; no script reads it back. */
export async function takeKey(practitionerId: string, base64: string): Promise<void> {
  if (!canSeal()) return;
  const bytes = Uint8Array.from(atob(base64), (letter) => letter.charCodeAt(0));
  const key = await crypto.subtle.importKey('raw', bytes, 'AES-GCM', false, ['encrypt', 'decrypt']);
  inHand.set(practitionerId, key);
  await (await open()).put('keys', key, practitionerId);
}

/** Leaves nothing on the device that opens what is sealed: it was locked, or its person has signed out. */
export async function dropKeys(): Promise<void> {
  if (canSeal()) await (await open()).clear('keys');
}

async function keyOf(practitionerId: string): Promise<CryptoKey | undefined> {
  if (!canSeal()) return undefined;
  const known = inHand.get(practitionerId) ?? (await (await open()).get('keys', practitionerId));
  if (known) inHand.set(practitionerId, known);
  return known;
}

/** Seals a value for a practitioner. */
export async function seal(practitionerId: string, value: unknown): Promise<Sealed> {
  const text = JSON.stringify(value);
  const key = await keyOf(practitionerId);
  if (!key) return { plain: text };
  const iv = crypto.getRandomValues(new Uint8Array(12));
  const data = await crypto.subtle.encrypt({ name: 'AES-GCM', iv }, key, new TextEncoder().encode(text));
  return { iv, data };
}

/** Opens what was sealed. @returns undefined without the key it was sealed with */
export async function unseal<T>(practitionerId: string, sealed: Sealed): Promise<T | undefined> {
  if ('plain' in sealed) return JSON.parse(sealed.plain);
  const key = await keyOf(practitionerId);
  if (!key) return undefined;
  try {
    const opened = await crypto.subtle.decrypt({ name: 'AES-GCM', iv: sealed.iv }, key, sealed.data);
    return JSON.parse(new TextDecoder().decode(opened));
  } catch {
    return undefined;
  }
}
