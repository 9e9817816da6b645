import { Hono } from 'hono';
import { type Handover, newHandoverSchema } from '#contract/handover';
import { msg } from '#core/message';
import type { Env } from '../context';
import { withStatements } from '../db/dialect/connection';
import { withAudit } from '../db/with-audit';
import { notFound } from '../problem';
import { clientRecord } from '../record/client';
import { keepHandover, markHandover, readHandovers } from '../record/handover';
import { hasRow } from '../record/read';
import { body } from '../validate';

/** Notes for the next shift: of a client, or of the day. Every answer is what is still to be read. */
export const handoverRoutes = new Hono<Env>()
  .get('/', async (c) => c.json(await withStatements(c.var.em, readHandovers)))

  .post('/', body(newHandoverSchema), async (c) => {
    const note = c.req.valid('json');
    const by = { practitionerId: c.var.practitioner.id, nowMs: c.var.nowMs };
    const subject = note.clientId ?? 'practice';
    const left = await withAudit(
      c,
      { action: 'handover-kept', subject, detail: { id: note.id } },
      (prepare): Handover[] => {
        if (note.clientId !== null && !hasRow(prepare, clientRecord, { id: note.clientId }))
          throw notFound(msg('This person'));
        keepHandover(prepare, note, by);
        return readHandovers(prepare);
      },
    );
    c.var.feed.publish({ said: 'handover' });
    return c.json(left, 201);
  })

  .post('/:id/read', async (c) => {
    const id = c.req.param('id');
    const by = { practitionerId: c.var.practitioner.id, nowMs: c.var.nowMs };
    const left = await withAudit(
      c,
      { action: 'handover-read', subject: 'practice', detail: { id } },
      (prepare): Handover[] => {
        markHandover(prepare, id, by);
        return readHandovers(prepare);
      },
    );
    c.var.feed.publish({ said: 'handover' });
    return c.json(left);
  });
