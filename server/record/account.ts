import { p } from '@mikro-orm/core';
import { atMs, defineRecord } from './define';

/** By what a practitioner signs in. */
export const accountRecord = defineRecord({
  name: 'Account',
  table: 'account',
  of: 'site',
  properties: {
    practitionerId: p.string().primary(),
    name: p.string(),
    isOwner: p.boolean(),
    passphraseHash: p.string(),
    mustChange: p.boolean().default(false),
    deviceKey: p.string(),
    pinHash: p.string().nullable(),
    codeSecret: p.string().nullable(),
    codeCounter: p.integer().default(0),
    madeAtMs: atMs(),
    endedAtMs: p.bigint('number').nullable(),
    certifiedUntilDay: p.string().nullable(),
  },
  refers: { practitionerId: 'person' },
  unique: ['name'],
});
