import type { MikroORM } from '@mikro-orm/libsql';
import { inTransaction } from '../db/dialect/connection';
import { sha256 } from '../sha256';
import { SignIns } from './sign-ins';

/**
 * Signs a practitioner in from inside this process, where a program plays what a practitioner does.
 * @returns the header that says so to an application asked as `localhost`
 */
export async function signInHere(
  orm: MikroORM,
  practitionerId: string,
  nowMs = Date.now(),
): Promise<{ cookie: string }> {
  const token = await inTransaction(orm.em.fork(), (prepare) =>
    new SignIns(() => nowMs).open(prepare, practitionerId, sha256(`this process, as ${practitionerId}`)),
  );
  return { cookie: `__Host-nervato=${token}` };
}
