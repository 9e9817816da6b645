import { randomBytes, randomUUID } from 'node:crypto';
import type { InferEntity } from '@mikro-orm/core';
import type { NewAccountFor } from '#contract/sign-in';
import { msg } from '#core/message';
import type { Prepare } from '../db/dialect/connection';
import { notFound } from '../problem';
import { accountRecord } from '../record/account';
import { practitionerRecord } from '../record/practitioner';
import { changeRows, keepRow } from '../record/write';

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
  keepRow(
    prepare,
    accountRecord,
    {
      practitionerId,
      name,
      isOwner,
      passphraseHash,
      mustChange,
      deviceKey: randomBytes(32).toString('base64'),
      madeAtMs,
      pinHash: null,
      codeSecret: null,
      endedAtMs: null,
      certifiedUntilDay: null,
    },
    {
      sameAs: ['practitionerId'],
      update: ['name', 'isOwner', 'passphraseHash', 'mustChange', 'pinHash', 'codeSecret', 'endedAtMs'],
    },
  );
}

export function changeAccount(
  prepare: Prepare,
  practitionerId: string,
  change: Partial<InferEntity<typeof accountRecord.entity>>,
): void {
  changeRows(prepare, accountRecord, { practitionerId }, change);
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
  const { listOrder } = prepare(
    'select coalesce(max(list_order) + 1, 0) as "listOrder" from person',
  ).get() as {
    listOrder: number;
  };
  keepRow(prepare, practitionerRecord, { id, name: who.name, role: who.role, listOrder });
  return id;
}
