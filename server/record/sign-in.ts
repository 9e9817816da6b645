import { p } from '@mikro-orm/core';
import type { Practitioner } from '#contract/practice';
import type { Prepare } from '../db/dialect/connection';
import { atMs, defineRecord, id } from './define';

/** A practitioner signed in on a device; of its token only the hash is kept. */
export const signInRecord = defineRecord({
  name: 'SignIn',
  table: 'sign_in',
  of: 'site',
  properties: {
    id: id(),
    tokenSha256: p.string().fieldName('token_sha256'),
    practitionerId: p.string(),
    deviceSha256: p.string().fieldName('device_sha256'),
    madeAtMs: atMs(),
    usedAtMs: atMs(),
    isLocked: p.boolean().default(false),
    pinFailures: p.integer().default(0),
    endedAtMs: p.bigint('number').nullable(),
  },
  refers: { practitionerId: 'account' },
  unique: ['token_sha256'],
  indexes: [
    'sign_in (device_sha256) where ended_at_ms is null',
    'sign_in (practitioner_id) where ended_at_ms is null',
  ],
});

/** Counts a try before its PIN is looked at: of many that are sent at once no more are looked at than there are tries. */
export const countTry = (prepare: Prepare, { id }: { id: string }): number =>
  (
    prepare(
      'update sign_in set pin_failures = pin_failures + 1 where id = ? returning pin_failures as tries',
    ).get(id) as { tries: number }
  ).tries;

/** A sign-in on a device. A locked one may do nothing until its PIN is given. */
export type SignedIn = {
  id: string;
  tokenSha256: string;
  deviceSha256: string;
  practitioner: Practitioner;
  /** Whether the passphrase was made by another person, and is to be changed before anything. */
  mustChange: boolean;
  madeAtMs: number;
  usedAtMs: number;
  isLocked: boolean;
};

const SIGNED_IN = `select sign_in.id, token_sha256 as "tokenSha256", device_sha256 as "deviceSha256", made_at_ms as "madeAtMs",
    used_at_ms as "usedAtMs", is_locked as "isLocked", person.id as "personId", person.name, role, is_owner as "isOwner",
    must_change as "mustChange"
  from (select * from sign_in where ended_at_ms is null) as sign_in
    join (select practitioner_id, is_owner, must_change from account where ended_at_ms is null) as account
      on account.practitioner_id = sign_in.practitioner_id
    join person on person.id = sign_in.practitioner_id`;

type Row = Omit<SignedIn, 'practitioner' | 'isLocked' | 'mustChange'> & {
  personId: string;
  name: string;
  role: Practitioner['role'];
  isOwner: number;
  isLocked: number;
  mustChange: number;
};

const signedInOf = ({ personId, name, role, isOwner, isLocked, mustChange, ...rest }: Row): SignedIn => ({
  ...rest,
  isLocked: isLocked === 1,
  mustChange: mustChange === 1,
  practitioner: { id: personId, name, role, isOwner: isOwner === 1 },
});

/** Who holds a token; of it the hash is given. */
export function findSignedIn(prepare: Prepare, tokenSha256: string): SignedIn | undefined {
  const row = prepare(`${SIGNED_IN} where token_sha256 = ?`).get(tokenSha256) as Row | undefined;
  return row && signedInOf(row);
}

/** Who is signed in on a device, longest in first. */
export const readSignedInOn = (prepare: Prepare, deviceSha256: string): SignedIn[] =>
  (prepare(`${SIGNED_IN} where device_sha256 = ? order by made_at_ms`).all(deviceSha256) as Row[]).map(
    signedInOf,
  );
