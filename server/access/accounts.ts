import { randomBytes, randomUUID } from 'node:crypto';
import type { InferEntity } from '@mikro-orm/core';
import type { NewAccountFor } from '#contract/sign-in';
import { msg } from '#core/message';
import type { Prepare } from '../db/dialect/connection';
import { notFound } from '../problem';
import { accountRecord } from '../record/account';
import { nextPlace, practitionerRecord } from '../record/practitioner';
import { findRow, hasRow } from '../record/read';
import { changeRows, keepRow } from '../record/write';

/** An account as it is kept, of those that have not ended. */
export type AccountRow = NonNullable<ReturnType<typeof accountOf>>;

const KEPT = [
  'practitionerId',
  'name',
  'isOwner',
  'passphraseHash',
  'mustChange',
  // What records kept on devices are sealed with; sent to the person who signs in.
  'deviceKey',
  'pinHash',
  'codeSecret',
  // The last step of time whose code was taken: none is taken twice.
  'codeCounter',
  'certifiedUntilDay',
] as const;

export const accountNamed = (prepare: Prepare, name: string) =>
  findRow(prepare, accountRecord, { name: name.trim(), endedAtMs: null }, KEPT);

export const accountOf = (prepare: Prepare, practitionerId: string) =>
  findRow(prepare, accountRecord, { practitionerId, endedAtMs: null }, KEPT);

export const anyAccount = (prepare: Prepare): boolean => hasRow(prepare, accountRecord, { endedAtMs: null });

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
    if (!hasRow(prepare, practitionerRecord, { id: who.id, elsewhere: false }))
      throw notFound(msg('This practitioner'));
    return who.id;
  }
  const id = randomUUID();
  keepRow(prepare, practitionerRecord, { id, name: who.name, role: who.role, listOrder: nextPlace(prepare) });
  return id;
}
