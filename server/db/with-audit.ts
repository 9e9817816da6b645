import type { EntityManager } from '@mikro-orm/libsql';
import type { Context } from 'hono';
import type { Env } from '../context';
import { type AuditNote, writeAudit } from './audit';
import { withStatements } from './sqlite';

/**
 * The one unit of work for writes through entities: what `work` changes and its audit entry are committed together or not at
 * all.
 * @param work gets the transaction's entity manager and returns the answer
 */
export async function withAudit<T>(
  c: Context<Env>,
  note: AuditNote,
  work: (em: EntityManager) => Promise<T> | T,
): Promise<T> {
  return c.var.em.transactional(async (em) => {
    const answer = await work(em);
    await em.flush();
    const by = { practitionerId: c.var.practitioner.id, atMs: c.var.nowMs };
    await withStatements(em, (prepare) => writeAudit(prepare, note, by));
    return answer;
  });
}
