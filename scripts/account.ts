import type { MikroORM } from '@mikro-orm/libsql';
import type { AuditAction } from '#contract/audit';
import { accountNamed, changeAccount } from '#server/access/accounts';
import { madePassphrase } from '#server/access/made-passphrase';
import { hashSecret } from '#server/access/passphrase';
import { SignIns } from '#server/access/sign-ins';
import { Unusable } from '#server/backup/database-file';
import { writeAudit } from '#server/db/audit';
import { inTransaction, withStatements } from '#server/db/dialect/connection';
import { openFile } from '#server/open-file';
import { start } from '#server/start';
import type { AuditNote } from '../server/db/audit';

// `npm run account`: who may sign in. `npm run account -- reset NAME`: a new passphrase for an account, and no codes. `… -- owner
// NAME`: makes an account an owner. For the administrator of the machine, with the server stopped.
const [command = 'list', name = ''] = process.argv.slice(2);
const MACHINE = 'machine';

async function list(orm: MikroORM): Promise<string> {
  const rows = (await withStatements(orm.em.fork(), (prepare) =>
    prepare(
      `select account.name, person.name as person, role, is_owner as "isOwner" from account
       join person on person.id = practitioner_id where ended_at_ms is null order by account.name`,
    ).all(),
  )) as { name: string; person: string; role: string; isOwner: number }[];
  return rows
    .map((row) => `${row.name}: ${row.person}, ${row.role}${row.isOwner === 1 ? ', owner' : ''}`)
    .join('\n');
}

async function change(
  orm: MikroORM,
  action: AuditAction,
  part: Parameters<typeof changeAccount>[2],
): Promise<void> {
  const nowMs = Date.now();
  await inTransaction(orm.em.fork(), (prepare) => {
    const account = accountNamed(prepare, name);
    if (!account) throw new Unusable(`No account is called ${name || '…'}. List them: npm run account`);
    changeAccount(prepare, account.practitionerId, part);
    new SignIns(() => nowMs).endAllOf(prepare, account.practitionerId);
    const note: AuditNote = { action, subject: account.practitionerId, detail: { by: 'the machine' } };
    writeAudit(prepare, note, { practitionerId: MACHINE, atMs: nowMs });
  });
}

const COMMANDS: Record<string, (orm: MikroORM) => Promise<string>> = {
  list,
  reset: async (orm) => {
    const passphrase = madePassphrase();
    const passphraseHash = await hashSecret(passphrase);
    await change(orm, 'passphrase-changed', {
      passphraseHash,
      mustChange: true,
      codeSecret: null,
      pinHash: null,
    });
    return `${name} signs in once with: ${passphrase}`;
  },
  owner: async (orm) => {
    await change(orm, 'account-changed', { isOwner: true });
    return `${name} owns the practice.`;
  },
};

await start(async () => {
  const doing = COMMANDS[command];
  if (!doing) throw new Unusable('npm run account [-- reset NAME | owner NAME]');
  const orm = await openFile();
  try {
    console.log(await doing(orm));
  } finally {
    await orm.close();
  }
});
