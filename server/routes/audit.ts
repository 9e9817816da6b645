import { Hono } from 'hono';
import { auditQuerySchema, printedSchema } from '#contract/audit';
import type { Env } from '../context';
import { checkChain } from '../db/audit';
import { findClient } from '../db/client-facts';
import { withStatements } from '../db/dialect/connection';
import { withAudit } from '../db/with-audit';
import { readAudit } from '../record/audit';
import { body, query } from '../validate';

/** Who did what and looked at which record: of the practice, of one person, and whether the record of it is whole. */
export const auditRoutes = new Hono<Env>()
  .get('/', query(auditQuerySchema), async (c) =>
    c.json(await withStatements(c.var.em, (prepare) => readAudit(prepare, c.req.valid('query'), null))),
  )
  // Only the browser knows what it prints; it reports it.
  .post('/printed', body(printedSchema), async (c) => {
    const { subject, view } = c.req.valid('json');
    await withAudit(c, { action: 'printed', subject, detail: { view } }, () => undefined);
    return c.body(null, 204);
  })
  .get('/check', async (c) => c.json(await withStatements(c.var.em, checkChain)))
  .get('/of/:clientId', query(auditQuerySchema), async (c) => {
    const { id } = await findClient(c.var.em, c.req.param('clientId'));
    return c.json(await withStatements(c.var.em, (prepare) => readAudit(prepare, c.req.valid('query'), id)));
  });
