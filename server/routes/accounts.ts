import { type Context, Hono } from 'hono';
import { accountChangeSchema, type MadePassphrase, newAccountSchema } from '#contract/sign-in';
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
import { accountRecord, readAccounts } from '../record/account';
import { practitionerRecord } from '../record/practitioner';
import { findRow, hasRow } from '../record/read';
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
      const person = findRow(prepare, practitionerRecord, { id: practitionerId }, ['role']);
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
          isOwner: ownerBefore,
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
      if (isOwner && !c.var.practitioner.isOwner)
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
  if (hasRow(prepare, accountRecord, { isOwner: true, endedAtMs: null })) return;
  throw new Problem(
    409,
    msg('No owner would be left'),
    msg('A practice has an owner: make another person one first.'),
  );
}
