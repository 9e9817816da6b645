import { randomUUID } from 'node:crypto';
import { Hono } from 'hono';
import { newBlockSchema } from '#contract/block';
import { checkBlock, withSessionIds } from '#core/course';
import { msg } from '#core/message';
import { newest } from '#core/quantity';
import { blockAsItStands, blockPlansOf } from '#core/record';
import { passGuards } from '../access/guards';
import type { Env } from '../context';
import type { AuditNote } from '../db/audit';
import { readClient } from '../db/client-facts';
import { withAudit } from '../db/with-audit';
import { calendarOf } from '../interchange/block-calendar';
import { tellChange } from '../live/tell-change';
import { notFound } from '../problem';
import { blockRecord } from '../record/block';
import { practiceRecord } from '../record/practice';
import { keepRow } from '../record/write';
import { body } from '../validate';

/** Blocks of training: kept as planned, and handed out as a calendar file. */
export const blockRoutes = new Hono<Env>()
  .post('/:id/blocks', body(newBlockSchema), async (c) => {
    const client = await readClient(c.var.em, c.req.param('id'), c.var.nowMs);
    const { overrideReason, ...block } = c.req.valid('json');
    const findings = checkBlock(block, blockPlansOf(client.facts));
    const { guards, reason } = passGuards(findings, c.var.practitioner, overrideReason);
    const id = randomUUID();
    const note: AuditNote = {
      action: guards.length > 0 ? 'block-kept-past-guard' : 'block-kept',
      subject: client.id,
      detail: { id, guards: guards.map(({ rule }) => rule), reason },
    };
    const sessions = withSessionIds(block.sessions, newest(client.facts.blocks)?.sessions ?? [], randomUUID);
    await withAudit(c, note, (prepare) => {
      keepRow(prepare, blockRecord, {
        id,
        clientId: client.id,
        atMs: c.var.nowMs,
        keptBy: c.var.practitioner.id,
        wish: block.wish,
        sessions,
        overrideReason: reason,
      });
    });
    return c.json(await tellChange(c, client.id), 201);
  })

  .get('/:id/block.ics', async (c) => {
    const { facts } = await readClient(c.var.em, c.req.param('id'), c.var.nowMs);
    const standing = blockAsItStands(facts, c.var.nowMs);
    if (!standing) throw notFound(msg('A block for this person'));
    const practice = await c.var.em.findOneOrFail(practiceRecord.entity, { id: 'practice' });
    return c.body(calendarOf([{ standing, name: null }], practice.name, c.var.nowMs), 200, {
      'content-type': 'text/calendar; charset=utf-8',
      'content-disposition': 'attachment; filename="training-block.ics"',
    });
  });
