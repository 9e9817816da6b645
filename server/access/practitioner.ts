import type { EntityManager } from '@mikro-orm/libsql';
import { createMiddleware } from 'hono/factory';
import { PRACTITIONER_HEADER } from '#contract/header';
import type { Practitioner } from '#contract/practice';
import type { Env } from '../context';
import { PractitionerEntity } from '../db/entities';
import { Problem } from '../problem';

/** Ways to ask that change nothing. */
export const READS: ReadonlySet<string> = new Set(['GET', 'HEAD', 'OPTIONS']);

/**
 * Finds who is working from the request's header; writes without a known practitioner are refused. Who was found once is not
 * looked up again: nothing changes a practitioner while the server runs.
 */
export function withPractitioner() {
  const known = new Map<string, Practitioner>();
  return createMiddleware<Env>(async (c, next) => {
    const id = c.req.header(PRACTITIONER_HEADER);
    const practitioner = id ? (known.get(id) ?? (await findPractitioner(c.var.em, id))) : null;
    if (practitioner) {
      known.set(practitioner.id, practitioner);
      c.set('practitioner', practitioner);
    } else if (!READS.has(c.req.method)) {
      throw whoIsWorking();
    }
    await next();
  });
}

const whoIsWorking = () =>
  new Problem(401, 'Who is working?', `Choose a practitioner: the header ${PRACTITIONER_HEADER} names none.`);

async function findPractitioner(em: EntityManager, id: string): Promise<Practitioner | null> {
  const row = await em.findOne(PractitionerEntity, { id, elsewhere: false });
  return row && { id: row.id, name: row.name, role: row.role };
}

/** Refuses everybody but clinicians, reads too (rule SCR-4). @param deed what only they may do, in words */
export const clinicianOnly = (deed: string) =>
  createMiddleware<Env>(async (c, next) => {
    if (!c.get('practitioner')) throw whoIsWorking();
    asClinician(c.var.practitioner, deed);
    await next();
  });

/** The same, where it depends on what is posted. @throws Problem 403 for anybody else */
export function asClinician({ role }: Env['Variables']['practitioner'], deed: string): void {
  if (role === 'clinician') return;
  const message = `Only a clinician may ${deed}.`;
  throw new Problem(403, 'For a clinician', message, [
    { path: '', message, remedy: 'Ask a clinician of the practice.', rule: 'SCR-4', level: 'hard' },
  ]);
}
