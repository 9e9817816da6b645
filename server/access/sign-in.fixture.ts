import type { MikroORM } from '@mikro-orm/libsql';
import { inTransaction } from '../db/dialect/connection';
import { openAccount } from './accounts';
import { signInHere } from './sign-in-here';

/** Signs a practitioner in who has no account yet, and may be new to the practice. @returns the header that says so */
export async function signInNew(orm: MikroORM, id = 'wren', nowMs = Date.now()): Promise<{ cookie: string }> {
  await inTransaction(orm.em.fork(), (prepare) => {
    if (!prepare('select 1 from person where id = ?').get(id)) {
      prepare(`insert into person (id, name, role, list_order) values (?, ?, 'clinician', 9)`).run(id, id);
    }
    const account = { name: id, isOwner: true, passphraseHash: 'not a hash', mustChange: false };
    openAccount(prepare, { practitionerId: id, ...account, madeAtMs: nowMs });
  });
  return signInHere(orm, id, nowMs);
}
