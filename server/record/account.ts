import { p } from '@mikro-orm/core';
import type { Account, Accounts } from '#contract/sign-in';
import type { Prepare } from '../db/dialect/connection';
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

type Row = Omit<Account, 'isOwner' | 'hasPin' | 'hasCode' | 'mustChange'> & {
  isOwner: number;
  hasPin: number;
  hasCode: number;
  mustChange: number;
};

export function readAccounts(prepare: Prepare): Accounts {
  const rows = prepare(
    `select practitioner_id as "practitionerId", person.name as "practitionerName", role, account.name, is_owner as "isOwner",
       pin_hash is not null as "hasPin", code_secret is not null as "hasCode", must_change as "mustChange",
       certified_until_day as "certifiedUntilDay",
       (select max(used_at_ms) from sign_in where sign_in.practitioner_id = account.practitioner_id) as "lastUsedAtMs"
     from account join person on person.id = practitioner_id where ended_at_ms is null order by list_order, person.id`,
  ).all() as Row[];
  const without = prepare(
    `select id, name, role from person where elsewhere = 0
       and id not in (select practitioner_id from account where ended_at_ms is null) order by list_order, id`,
  ).all() as Accounts['without'];
  return {
    accounts: rows.map(({ isOwner, hasPin, hasCode, mustChange, ...rest }) => ({
      ...rest,
      isOwner: isOwner === 1,
      hasPin: hasPin === 1,
      hasCode: hasCode === 1,
      mustChange: mustChange === 1,
    })),
    without,
  };
}
