import { type Context, Hono } from 'hono';
import type { AuditAction } from '#contract/audit';
import { codeSchema, type Me, newPassphraseSchema, newPinSchema, passphraseSchema } from '#contract/sign-in';
import { msg } from '#core/message';
import { type AccountRow, accountOf, changeAccount } from '../access/accounts';
import { codeCounter, newCodeSecret } from '../access/one-time-code';
import { hashSecret, isSecret, whyWeak } from '../access/passphrase';
import { refuse, refuseTooSoon } from '../access/signing-in';
import { type Counted, waitMs } from '../access/waits';
import type { Env } from '../context';
import { writeAudit } from '../db/audit';
import { inTransaction, withStatements } from '../db/dialect/connection';
import { Problem } from '../problem';
import { body } from '../validate';

/**
 * One's own account: passphrase, PIN, and the codes of a second device.
 * @param shown secrets of second devices that were shown and not confirmed yet, by practitioner
 */
export const meRoutes = (shown = new Map<string, string>()) =>
  new Hono<Env>()
    .get('/', async (c) => {
      const account = await own(c);
      const me: Me = {
        practitioner: c.var.practitioner,
        hasPin: account.pinHash !== null,
        hasCode: account.codeSecret !== null,
        certifiedUntilDay: account.certifiedUntilDay,
        deviceKey: account.deviceKey,
      };
      return c.json(me);
    })

    .post('/passphrase', body(newPassphraseSchema), async (c) => {
      const { old, passphrase } = c.req.valid('json');
      const account = await own(c);
      await refuseUnless(c, account, old, 'old');
      const { name } = c.var.signedIn.practitioner;
      const weak =
        old === passphrase
          ? msg('It is the one you have. Take another.')
          : whyWeak(passphrase, [name, account.name]);
      if (weak) throw new Problem(422, msg('Not good enough'), weak, [{ path: 'passphrase', message: weak }]);
      const passphraseHash = await hashSecret(passphrase);
      await changeOwn(c, 'passphrase-changed', { passphraseHash, mustChange: false });
      // Sign-ins by the old one end; the one that changed it stays.
      await inTransaction(c.var.em, (prepare) => {
        c.var.signIns.endAllOf(prepare, account.practitionerId, c.var.signedIn.id);
      });
      return c.body(null, 204);
    })

    .post('/pin', body(newPinSchema), async (c) => {
      const { passphrase, pin } = c.req.valid('json');
      await refuseUnless(c, await own(c), passphrase, 'passphrase');
      if (pin !== null && isObvious(pin))
        throw new Problem(
          422,
          msg('Not good enough'),
          msg('This PIN is one of the most common. Take another.'),
          [
            {
              path: 'pin',
              message: msg('This PIN is one of the most common.'),
              remedy: msg('Take another.'),
            },
          ],
        );
      await changeOwn(c, 'pin-changed', { pinHash: pin === null ? null : await hashSecret(pin) });
      return c.body(null, 204);
    })

    .post('/code', body(passphraseSchema), async (c) => {
      const account = await own(c);
      await refuseUnless(c, account, c.req.valid('json').passphrase, 'passphrase');
      const { secret, uri } = newCodeSecret(account.name);
      shown.set(account.practitionerId, secret);
      return c.json({ uri });
    })

    .post('/code/confirm', body(codeSchema), async (c) => {
      const { id } = c.var.practitioner;
      const codeSecret = shown.get(id);
      const counter = codeSecret && codeCounter(codeSecret, c.req.valid('json').code, 0, c.var.signIns.now());
      if (!codeSecret || !counter)
        throw new Problem(
          422,
          msg('Not this code'),
          msg('The code does not fit. Type the one your second device shows now.'),
          [{ path: 'code', message: msg('The code does not fit.'), remedy: msg('Type the one shown now.') }],
        );
      shown.delete(id);
      await changeOwn(c, 'codes-changed', { codeSecret, codeCounter: counter });
      return c.body(null, 204);
    })

    .post('/code/end', body(passphraseSchema), async (c) => {
      await refuseUnless(c, await own(c), c.req.valid('json').passphrase, 'passphrase');
      await changeOwn(c, 'codes-changed', { codeSecret: null });
      return c.body(null, 204);
    });

async function own(c: Context<Env>): Promise<AccountRow> {
  const { id } = c.var.signedIn.practitioner;
  const account = await withStatements(c.var.em, (prepare) => accountOf(prepare, id));
  if (!account) throw new Problem(401, msg('Sign in first'), msg('This account has ended.'));
  return account;
}

/** A device that is left open is no way to another passphrase: the old one is asked for, and failures are counted. */
async function refuseUnless(
  c: Context<Env>,
  account: AccountRow,
  passphrase: string,
  path: string,
): Promise<void> {
  const counted: Counted[] = [{ of: 'name', key: `own ${account.practitionerId}` }];
  await withStatements(c.var.em, (prepare) => refuseTooSoon(waitMs(prepare, counted, c.var.signIns.now())));
  if (await isSecret(account.passphraseHash, passphrase)) return;
  await refuse(c, counted, account, 'passphrase');
  const message = msg('This is not your passphrase.');
  throw new Problem(403, msg('Not your passphrase'), message, [
    { path, message, remedy: msg('Type it again.') },
  ]);
}

async function changeOwn(
  c: Context<Env>,
  action: AuditAction,
  change: Parameters<typeof changeAccount>[2],
): Promise<void> {
  const { id } = c.var.signedIn.practitioner;
  await inTransaction(c.var.em, (prepare) => {
    changeAccount(prepare, id, change);
    writeAudit(prepare, { action, subject: id }, { practitionerId: id, atMs: c.var.nowMs });
  });
  c.var.signIns.forgetAll();
}

const isObvious = (pin: string): boolean =>
  ['0123456789', '9876543210'].some((row) => row.includes(pin)) || new Set(pin).size === 1;
