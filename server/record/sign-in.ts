import { p } from '@mikro-orm/core';
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
