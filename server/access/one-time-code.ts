import { Secret, TOTP } from 'otpauth';

const STEP_S = 30;
/** Clocks differ: the step before and the one after are taken too. */
const WINDOW = 1;

const codesOf = (secret: string, label: string) =>
  new TOTP({ issuer: 'Nervato', label, secret: Secret.fromBase32(secret), period: STEP_S });

/** A new secret, and the address by which a second device takes it up (RFC 6238). */
export function newCodeSecret(label: string): { secret: string; uri: string } {
  const secret = new Secret({ size: 20 }).base32;
  return { secret, uri: codesOf(secret, label).toString() };
}

/**
 * The step of time a code belongs to.
 * @param after the last step whose code was taken
 * @returns null for a wrong code, and for one that was taken before
 */
export function codeCounter(secret: string, code: string, after: number, nowMs: number): number | null {
  const delta = codesOf(secret, '').validate({ token: code, timestamp: nowMs, window: WINDOW });
  if (delta === null) return null;
  const counter = Math.floor(nowMs / 1000 / STEP_S) + delta;
  return counter > after ? counter : null;
}
