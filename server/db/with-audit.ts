import type { EntityManager } from '@mikro-orm/libsql';
import type { Context } from 'hono';
import type { Env } from '../context';
import { AuditEntity } from './entities';

/** What a write is called in the audit, and the record it concerns. */
export type AuditNote = { action: string; subject: string; detail?: Record<string, unknown> };

/**
 * The one unit of work for writes: what `work` changes and its audit entry are committed together or not at all.
 * @param work gets the transaction's entity manager and returns the answer
 */
export async function withAudit<T>(
  c: Context<Env>,
  note: AuditNote,
  work: (em: EntityManager) => Promise<T> | T,
): Promise<T> {
  return c.var.em.transactional(async (em) => {
    const answer = await work(em);
    em.create(AuditEntity, {
      atMs: c.var.nowMs,
      practitionerId: c.var.practitioner.id,
      action: note.action,
      subject: note.subject,
      detail: note.detail ?? {},
    });
    return answer;
  });
}
