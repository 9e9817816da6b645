import { createPrivateKey, createPublicKey, generateKeyPairSync, sign, verify } from 'node:crypto';
import type { ArchiveSignature } from '#contract/archive';
import type { Prepare } from '../../db/dialect/connection';
import { findRow } from '../../record/read';
import { siteKeyRecord } from '../../record/site-key';
import { keepRow } from '../../record/write';
import { sha256 } from '../../sha256';

/**
 * The key a site signs exported practices with (Ed25519). Made when it is first asked for; it is in backups, and
 * never in an archive: a practice that moves has another at its new site.
 */
export type SiteKey = { fingerprint: string; sign: (digest: string) => ArchiveSignature };

/** The key of this site. To be called in a transaction, since it may be made. */
export function siteKey(prepare: Prepare): SiteKey {
  const kept = findRow(prepare, siteKeyRecord, 'all', ['privateKey']);
  const pem = kept?.privateKey ?? makeKey(prepare);
  const privateKey = createPrivateKey(pem);
  const key = createPublicKey(privateKey).export({ type: 'spki', format: 'der' }).toString('base64');
  return {
    fingerprint: fingerprintOf(key),
    sign: (digest) => ({ key, value: sign(null, Buffer.from(digest), privateKey).toString('base64') }),
  };
}

function makeKey(prepare: Prepare): string {
  const { privateKey } = generateKeyPairSync('ed25519');
  const pem = privateKey.export({ type: 'pkcs8', format: 'pem' }).toString();
  keepRow(prepare, siteKeyRecord, { id: 1, privateKey: pem });
  return pem;
}

/** Whether a signature is of that file, by the key that came with it; whose key that is, a person compares. */
export function isSignedBy({ key, value }: ArchiveSignature, digest: string): boolean {
  try {
    const publicKey = createPublicKey({ key: Buffer.from(key, 'base64'), type: 'spki', format: 'der' });
    return verify(null, Buffer.from(digest), publicKey, Buffer.from(value, 'base64'));
  } catch {
    return false;
  }
}

/**
 * A key as people compare it: 80 bits of its SHA-256, in fives of four.
 * @example fingerprintOf('MCowBQYDK2VwAyEA…') //=> '7f3a 91c0 22be 04d1 9a66'
 */
export const fingerprintOf = (key: string): string =>
  (sha256(key).slice(0, 20).match(/.{4}/g) ?? []).join(' ');

/** A fingerprint as it was typed: without spaces or hyphens, in small letters. */
const plain = (typed: string): string => typed.replaceAll(/[^0-9a-z]/gi, '').toLowerCase();

export const isSameFingerprint = (one: string, other: string): boolean => plain(one) === plain(other);
