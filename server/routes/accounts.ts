import { type Context, Hono } from 'hono';
import {
  type Account,
  type Accounts,
  accountChangeSchema,
  type MadePassphrase,
  newAccountSchema,
} from '#contract/sign-in';
import { msg } from '#core/message';
import { accountOf, changeAccount, openAccount, practitionerOf } from '../access/accounts';
import { madePassphrase } from '../access/made-passphrase';
import { hashSecret } from '../access/passphrase';
import type { Env } from '../context';
import { writeAudit } from '../db/audit';
import { inTransaction, type Prepare, withStatements } from '../db/dialect/connection';
import { isUniqueClash } from '../db/dialect/errors';
import { tellPractice } from '../live/tell-change';
import { notFound, Problem } from '../problem';
import { practitionerRecord } from '../record/practitioner';
import { changeRows } from '../record/write';
import { body } from '../validate';

/** Who may sign in. A passphrase is made here and read aloud once; its person chooses another at the first sign-in. */
export const accountRoutes = new Hono<Env>()
  .get('/', async (c) => c.json(await withStatements(c.var.em, readAccounts)))

  .post('/', body(newAccountSchema), async (c) => {
    const { practitioner, name, isOwner } = c.req.valid('json');
    const passphrase = madePassphrase();
    const passphraseHash = await hashSecret(passphrase);
    await changed(c, (prepare) => {
      const practitionerId = practitionerOf(prepare, practitioner);
      if (accountOf(prepare, practitionerId))
        throw new Problem(409, msg('Has one already'), msg('This practitioner has an account already.'));
      openAccount(prepare, {
        practitionerId,
        name,
        isOwner,
        passphraseHash,
        mustChange: true,
        madeAtMs: c.var.nowMs,
      });
      return { action: 'account-opened', subject: practitionerId, detail: { name, isOwner } };
    });
    return c.json({ passphrase } satisfies MadePassphrase, 201);
  })

  .post('/:id', body(accountChangeSchema), async (c) => {
    const practitionerId = c.req.param('id');
    const { name, role, isOwner, certifiedUntilDay } = c.req.valid('json');
    await changed(c, (prepare) => {
      const before = required(prepare, practitionerId);
      const person = prepare('select role from person where id = ?').get(practitionerId);
      changeAccount(prepare, practitionerId, {
        ...(name === undefined ? {} : { name }),
        ...(isOwner === undefined ? {} : { isOwner }),
        ...(certifiedUntilDay === undefined ? {} : { certifiedUntilDay }),
      });
      if (role !== undefined) changeRows(prepare, practitionerRecord, { id: practitionerId }, { role });
      refuseWithoutOwner(prepare);
      const { name: nameBefore, isOwner: ownerBefore, certifiedUntilDay: certifiedBefore } = before;
      const detail = {
        from: {
          name: nameBefore,
          isOwner: ownerBefore === 1,
          certifiedUntilDay: certifiedBefore,
          ...(person as object),
        },
        to: { name, role, isOwner, certifiedUntilDay },
      };
      return { action: 'account-changed', subject: practitionerId, detail };
    });
    return c.json(await withStatements(c.var.em, readAccounts));
  })

  .post('/:id/end', async (c) => {
    const practitionerId = c.req.param('id');
    await changed(c, (prepare) => {
      const { name } = required(prepare, practitionerId);
      changeAccount(prepare, practitionerId, { endedAtMs: c.var.nowMs });
      refuseWithoutOwner(prepare);
      c.var.signIns.endAllOf(prepare, practitionerId);
      return { action: 'account-ended', subject: practitionerId, detail: { name } };
    });
    return c.json(await withStatements(c.var.em, readAccounts));
  })

  .post('/:id/new-passphrase', async (c) => {
    const practitionerId = c.req.param('id');
    const passphrase = madePassphrase();
    const passphraseHash = await hashSecret(passphrase);
    await changed(c, (prepare) => {
      const { isOwner } = required(prepare, practitionerId);
      // Who helps an owner in would be one from then on.
      if (isOwner === 1 && !c.var.practitioner.isOwner)
        throw new Problem(
          403,
          msg('Not for this account'),
          msg('An owner is helped in by another owner, or at the machine itself.'),
        );
      changeAccount(prepare, practitionerId, {
        passphraseHash,
        mustChange: true,
        codeSecret: null,
        pinHash: null,
      });
      c.var.signIns.endAllOf(prepare, practitionerId);
      return { action: 'passphrase-changed', subject: practitionerId, detail: { by: 'another person' } };
    });
    return c.json({ passphrase } satisfies MadePassphrase, 201);
  });

type Note = Parameters<typeof writeAudit>[1];

/** A change of accounts with its audit entry; what is known of who is signed in is looked up again. */
async function changed(c: Context<Env>, work: (prepare: Prepare) => Note): Promise<void> {
  const by = { practitionerId: c.var.practitioner.id, atMs: c.var.nowMs };
  try {
    await inTransaction(c.var.em, (prepare) => writeAudit(prepare, work(prepare), by));
  } catch (error) {
    if (!isUniqueClash(error)) throw error;
    const message = msg('An account has this name already.');
    throw new Problem(409, msg('Taken'), message, [
      { path: 'name', message, remedy: msg('Choose another.') },
    ]);
  }
  c.var.signIns.forgetAll();
  tellPractice(c);
}

function required(prepare: Prepare, practitionerId: string) {
  const account = accountOf(prepare, practitionerId);
  if (!account) throw notFound(msg('This account'));
  return account;
}

function refuseWithoutOwner(prepare: Prepare): void {
  if (prepare('select 1 from account where is_owner = 1 and ended_at_ms is null').get()) return;
  throw new Problem(
    409,
    msg('No owner would be left'),
    msg('A practice has an owner: make another person one first.'),
  );
}

type Row = Omit<Account, 'isOwner' | 'hasPin' | 'hasCode' | 'mustChange'> & {
  isOwner: number;
  hasPin: number;
  hasCode: number;
  mustChange: number;
};

function readAccounts(prepare: Prepare): Accounts {
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
