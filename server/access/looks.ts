import type { EntityManager } from '@mikro-orm/libsql';
import { createMiddleware } from 'hono/factory';
import type { Env } from '../context';
import { type AuditNote, writeAudit } from '../db/audit';
import { inTransaction } from '../db/dialect/connection';
import { troubleOf } from '../trouble';
import { routeOf } from './route-of';

/** Looking at a record again within this is one look. */
const ONE_LOOK_MS = 3_600_000;
const OF_A_PERSON = /^GET \/(clients|sessions)\/:id(\/|$)/;

/** Who looked at whose record, as the audit has it: once an hour for each, however much was asked for. */
export class Looks {
  private readonly last = new Map<string, number>();

  constructor(private readonly fork: () => EntityManager) {}

  readonly note = createMiddleware<Env>(async (c, next) => {
    await next();
    const practitioner = c.get('practitioner');
    if (!c.res.ok || !practitioner || !OF_A_PERSON.test(routeOf(c) ?? '')) return;
    const subject = c.req.path.split('/')[3] ?? '';
    const key = `${practitioner.id} ${subject}`;
    const { nowMs } = c.var;
    if (nowMs - (this.last.get(key) ?? Number.NEGATIVE_INFINITY) < ONE_LOOK_MS) return;
    const look: AuditNote = { action: 'looked-at', subject };
    try {
      await inTransaction(this.fork(), (prepare) =>
        writeAudit(prepare, look, { practitionerId: practitioner.id, atMs: nowMs }),
      );
      this.last.set(key, nowMs);
    } catch (error) {
      // A full disk does not block reading what they need at a cuff; the look is written with the next.
      if (!troubleOf(error)) throw error;
    }
  });
}
