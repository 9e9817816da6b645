import { randomBytes, randomUUID } from 'node:crypto';
import { Hono } from 'hono';
import { type HomeLink, type MadeHomeLink, newHomeLinkSchema } from '#contract/home';
import { HOME_PATH } from '#contract/home-path';
import { msg } from '#core/message';
import { MS_PER_DAY } from '#core/quantity';
import { whyNotInForce } from '#core/record';
import type { Env } from '../context';
import { type AuditNote, writeAudit } from '../db/audit';
import { readClient } from '../db/client-facts';
import { inTransaction, withStatements } from '../db/dialect/connection';
import { notFound, Problem } from '../problem';
import { endLink, keepLink, readLinks } from '../record/home-link';
import { body } from '../validate';

/** Links with which a person trains at home; the roles that sign plans make and end them. */
export const homeLinkRoutes = new Hono<Env>()
  .get('/:id/home-links', async (c) => {
    const links = await withStatements(c.var.em, (prepare) =>
      readLinks(prepare, c.req.param('id'), c.var.nowMs),
    );
    return c.json(links satisfies HomeLink[]);
  })

  .post('/:id/home-links', body(newHomeLinkSchema), async (c) => {
    const { coursePlanId, weeks } = c.req.valid('json');
    const { em, nowMs, practitioner } = c.var;
    const { id: clientId, facts } = await readClient(em, c.req.param('id'), nowMs);
    const coursePlan = facts.coursePlans.find(({ id }) => id === coursePlanId);
    if (!coursePlan) throw notFound(msg('This plan'));
    const why = whyNotInForce(coursePlan, nowMs);
    if (why)
      throw new Problem(
        409,
        msg('Not in force'),
        msg('{why} Take it up again, or choose another plan.', { why }),
      );
    const secret = randomBytes(24).toString('base64url');
    const link: HomeLink = {
      id: randomUUID(),
      coursePlanId,
      madeAtMs: nowMs,
      untilMs: nowMs + weeks * 7 * MS_PER_DAY,
      endedAtMs: null,
      sessions: 0,
    };
    await inTransaction(em, (prepare) => {
      keepLink(prepare, { ...link, clientId, madeBy: practitioner.id }, secret);
      const note: AuditNote = {
        action: 'home-link-made',
        subject: clientId,
        detail: { id: link.id, coursePlanId, weeks },
      };
      writeAudit(prepare, note, { practitionerId: practitioner.id, atMs: nowMs });
    });
    return c.json({ ...link, path: `${HOME_PATH}#${secret}` } satisfies MadeHomeLink, 201);
  })

  .post('/:id/home-links/:linkId/end', async (c) => {
    const { id: clientId, linkId } = c.req.param();
    const { em, nowMs, practitioner } = c.var;
    const links = await inTransaction(em, (prepare) => {
      endLink(prepare, clientId, linkId, nowMs);
      const note: AuditNote = { action: 'home-link-ended', subject: clientId, detail: { id: linkId } };
      writeAudit(prepare, note, { practitionerId: practitioner.id, atMs: nowMs });
      return readLinks(prepare, clientId, nowMs);
    });
    return c.json(links satisfies HomeLink[]);
  });
