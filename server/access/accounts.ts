import { randomBytes, randomUUID } from 'node:crypto';
import type { NewAccountFor } from '#contract/sign-in';
import { msg } from '#core/message';
import type { Prepare } from '../db/sqlite';
import { notFound } from '../problem';

/** An account as it is kept. */
export type AccountRow = {
  practitionerId: string;
  name: string;
  isOwner: number;
  passphraseHash: string;
  mustChange: number;
  /** What records kept on devices are sealed with; sent to the person who signs in. */
  deviceKey: string;
  pinHash: string | null;
  codeSecret: string | null;
  /** The last step of time whose code was taken: none is taken twice. */
  codeCounter: number;
  certifiedUntilDay: string | null;
};

const ACCOUNT = `select practitioner_id as "practitionerId", name, is_owner as "isOwner", passphrase_hash as "passphraseHash",
    must_change as "mustChange", device_key as "deviceKey", pin_hash as "pinHash", code_secret as "codeSecret", code_counter as "codeCounter",
    certified_until_day as "certifiedUntilDay"
  from account where ended_at_ms is null`;

export const accountNamed = (prepare: Prepare, name: string): AccountRow | undefined =>
  prepare(`${ACCOUNT} and name = ?`).get(name.trim()) as AccountRow | undefined;

export const accountOf = (prepare: Prepare, practitionerId: string): AccountRow | undefined =>
  prepare(`${ACCOUNT} and practitioner_id = ?`).get(practitionerId) as AccountRow | undefined;

export const anyAccount = (prepare: Prepare): boolean =>
  prepare('select 1 from account where ended_at_ms is null limit 1').get() !== undefined;

export type NewAccount = {
  practitionerId: string;
  name: string;
  isOwner: boolean;
  passphraseHash: string;
  mustChange: boolean;
  madeAtMs: number;
};

/** Opens an account; one of the same practitioner that was ended is opened again. */
export function openAccount(
  prepare: Prepare,
  { practitionerId, name, isOwner, passphraseHash, mustChange, madeAtMs }: NewAccount,
): void {
  prepare(
    `insert into account (practitioner_id, name, is_owner, passphrase_hash, must_change, device_key, made_at_ms)
     values (?, ?, ?, ?, ?, ?, ?)
     on conflict (practitioner_id) do update set name = excluded.name, is_owner = excluded.is_owner,
       passphrase_hash = excluded.passphrase_hash, must_change = excluded.must_change, pin_hash = null,
       code_secret = null, ended_at_ms = null`,
  ).run(
    practitionerId,
    name,
    Number(isOwner),
    passphraseHash,
    Number(mustChange),
    randomBytes(32).toString('base64'),
    madeAtMs,
  );
}

/** Columns of an account that change. */
const COLUMNS = {
  name: 'name',
  isOwner: 'is_owner',
  passphraseHash: 'passphrase_hash',
  mustChange: 'must_change',
  pinHash: 'pin_hash',
  codeSecret: 'code_secret',
  codeCounter: 'code_counter',
  endedAtMs: 'ended_at_ms',
  certifiedUntilDay: 'certified_until_day',
} as const;

export function changeAccount(
  prepare: Prepare,
  practitionerId: string,
  change: Partial<Record<keyof typeof COLUMNS, string | number | null>>,
): void {
  for (const [key, value] of Object.entries(change))
    prepare(`update account set ${COLUMNS[key as keyof typeof COLUMNS]} = ? where practitioner_id = ?`).run(
      value,
      practitionerId,
    );
}

/**
 * The practitioner of an account: one who is on record and works here, or a new one, who then is.
 * @throws Problem 404 for an unknown id
 */
export function practitionerOf(prepare: Prepare, who: NewAccountFor): string {
  if ('id' in who) {
    if (!prepare('select 1 from person where id = ? and elsewhere = 0').get(who.id))
      throw notFound(msg('This practitioner'));
    return who.id;
  }
  const id = randomUUID();
  prepare(
    `insert into person (id, name, role, list_order)
     values (?, ?, ?, (select coalesce(max(list_order) + 1, 0) from person))`,
  ).run(id, who.name, who.role);
  return id;
}
