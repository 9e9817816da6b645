import { randomUUID } from 'node:crypto';
import type { Context } from 'hono';
import type { OnDevice, SignInBody } from '#contract/sign-in';
import { msg } from '#core/message';
import { initialsOf } from '#core/quantity';
import type { Env } from '../context';
import { writeAudit } from '../db/audit';
import { inTransaction, type Prepare, withStatements } from '../db/dialect/connection';
import { Problem } from '../problem';
import { hasRow } from '../record/read';
import { countTry, signInRecord } from '../record/sign-in';
import { sha256 } from '../sha256';
import { type AccountRow, accountNamed, accountOf, changeAccount } from './accounts';
import { addressOf } from './address';
import { keep, readKept } from './cookies';
import { codeCounter } from './one-time-code';
import { isSecret } from './passphrase';
import { type Counted, countFailure, forgetFailures, waitMs } from './waits';

/** Wrong PINs before a device asks for the passphrase. */
const PIN_TRIES = 5;

/** The same words whether it was the name or the passphrase: it is not revealed which names there are. */
const NOT_TAKEN = new Problem(
  401,
  msg('Not signed in'),
  msg(
    'The name and the passphrase do not go together. Type both again; capital letters count in the passphrase.',
  ),
);

/** Which device asks, as the hash of what it keeps; one that keeps nothing is given something to keep. */
export function deviceOf(c: Context<Env>): string {
  const known = readKept(c, 'nervato-device');
  const device = known ?? randomUUID();
  if (known === undefined) keep(c, 'nervato-device', device, 'year');
  return sha256(device);
}

const whoFails = (name: string, deviceSha256: string | null, address: string): [Counted, Counted] => [
  // A device that has signed in before is counted apart, so that no one keeps an account out by failing elsewhere.
  { of: 'name', key: `${name.trim().toLowerCase()} ${deviceSha256 ?? 'anywhere'}` },
  { of: 'address', key: address },
];

/** Signs in by name and passphrase. @throws Problem 401 when they do not go together; 429 after many tries */
export async function signIn(c: Context<Env>, { name, passphrase, code }: SignInBody): Promise<void> {
  const { em, signIns } = c.var;
  const device = deviceOf(c);
  const nowMs = signIns.now();
  const { account, counted } = await withStatements(em, (prepare) => {
    const found = accountNamed(prepare, name);
    const isKnown = found !== undefined && hasSignedIn(prepare, found.practitionerId, device);
    const failing = whoFails(name, isKnown ? device : null, addressOf(c));
    refuseTooSoon(waitMs(prepare, failing, nowMs));
    return { account: found, counted: failing };
  });
  const fits = await isSecret(account?.passphraseHash ?? null, passphrase);
  if (!account || !fits) {
    await refuse(c, counted, account, 'passphrase');
    throw NOT_TAKEN;
  }
  const counter = await takeCode(c, account, code, counted);
  const token = await inTransaction(em, (prepare) => {
    forgetFailures(prepare, counted[0]);
    if (counter !== null) changeAccount(prepare, account.practitionerId, { codeCounter: counter });
    writeAudit(prepare, { action: 'signed-in', subject: account.practitionerId }, byThem(c, account));
    return signIns.open(prepare, account.practitionerId, device);
  });
  keep(c, 'nervato', token, 'session');
}

/** Takes the code of a second device, where an account asks for one. @returns the step of time it belongs to */
async function takeCode(
  c: Context<Env>,
  account: AccountRow,
  code: string | undefined,
  counted: readonly Counted[],
): Promise<number | null> {
  if (account.codeSecret === null) return null;
  const counter =
    code === undefined
      ? null
      : codeCounter(account.codeSecret, code, account.codeCounter, c.var.signIns.now());
  if (counter !== null) return counter;
  if (code !== undefined) await refuse(c, counted, account, 'code');
  const message =
    code === undefined
      ? msg('This account asks for a code too.')
      : msg('This code is wrong, or was used already.');
  throw new Problem(401, msg('A code too'), message, [
    { path: 'code', message, remedy: msg('Type the six figures your second device shows now.') },
  ]);
}

/** Signs a practitioner back in who has signed in on this device today. */
export async function signInByPin(c: Context<Env>, practitionerId: string, pin: string): Promise<void> {
  const { em, signIns } = c.var;
  const device = deviceOf(c);
  const counted = whoFails(`pin of ${practitionerId}`, device, addressOf(c));
  const { account, signedIn, tries } = await withStatements(em, (prepare) => {
    refuseTooSoon(waitMs(prepare, counted, signIns.now()));
    const known = signIns
      .onDevice(prepare, device)
      .find(({ practitioner }) => practitioner.id === practitionerId);
    return {
      account: accountOf(prepare, practitionerId),
      signedIn: known,
      tries: known ? countTry(prepare, known) : 0,
    };
  });
  const isTried = signedIn !== undefined && tries <= PIN_TRIES;
  const fits = await isSecret(isTried ? (account?.pinHash ?? null) : null, pin);
  if (!account || !signedIn || !fits) {
    await refuse(c, counted, account, 'PIN');
    if (signedIn && tries >= PIN_TRIES)
      await inTransaction(em, (prepare) => signIns.end(prepare, [signedIn.id]));
    throw new Problem(
      401,
      msg('Not this PIN'),
      msg('This is not the PIN. After five tries the passphrase is needed.'),
    );
  }
  const token = await inTransaction(em, (prepare) => {
    forgetFailures(prepare, counted[0]);
    writeAudit(prepare, { action: 'switched-to', subject: practitionerId }, byThem(c, account));
    return signIns.unlock(prepare, signedIn);
  });
  keep(c, 'nervato', token, 'session');
}

const byThem = (c: Context<Env>, { practitionerId }: AccountRow) => ({ practitionerId, atMs: c.var.nowMs });

const hasSignedIn = (prepare: Prepare, practitionerId: string, deviceSha256: string): boolean =>
  hasRow(prepare, signInRecord, { practitionerId, deviceSha256 });

/** @throws Problem 429 that says how long is still to wait */
export function refuseTooSoon(leftMs: number): void {
  if (leftMs <= 0) return;
  const seconds = Math.ceil(leftMs / 1_000);
  throw new Problem(
    429,
    msg('Too many tries'),
    msg(
      'Too many tries: wait {seconds} s. Who has forgotten a passphrase is helped by a clinician or the owner of the practice.',
      { seconds },
    ),
    [],
    { 'retry-after': String(seconds) },
  );
}

/** Counts a failure and writes it down; of an unknown name, nothing but that it was tried. */
export const refuse = (
  c: Context<Env>,
  counted: readonly Counted[],
  account: AccountRow | undefined,
  what: 'passphrase' | 'code' | 'PIN',
) =>
  inTransaction(c.var.em, (prepare) => {
    countFailure(prepare, counted, c.var.signIns.now());
    const subject = account?.practitionerId ?? 'nobody';
    const by = { practitionerId: subject, atMs: c.var.nowMs };
    writeAudit(prepare, { action: 'sign-in-refused', subject, detail: { what, from: addressOf(c) } }, by);
  });

/** Those who have signed in on a device today, as a locked screen shows them. */
export function onDevice(c: Context<Env>, prepare: Prepare): OnDevice[] {
  const device = readKept(c, 'nervato-device');
  if (device === undefined) return [];
  return c.var.signIns.onDevice(prepare, sha256(device)).map(({ practitioner: { id, name } }) => ({
    practitionerId: id,
    initials: initialsOf(name),
    hasPin: accountOf(prepare, id)?.pinHash != null,
  }));
}
