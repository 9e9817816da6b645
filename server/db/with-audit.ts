import type { Context } from 'hono';
import type { Env } from '../context';
import { type AuditNote, writeAudit } from './audit';
import { inTransaction, type Prepare } from './dialect/connection';

/**
 * The one unit of work for writes of a request: what `work` changes and its audit entry are committed together or not at all.
 * @param work writes by the definitions of records (`server/record/write.ts`), and returns the answer
 */
export const withAudit = <T>(c: Context<Env>, note: AuditNote, work: (prepare: Prepare) => T): Promise<T> =>
  inTransaction(c.var.em, (prepare) => {
    const answer = work(prepare);
    writeAudit(prepare, note, { practitionerId: c.var.practitioner.id, atMs: c.var.nowMs });
    return answer;
  });
