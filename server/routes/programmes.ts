import { randomUUID } from 'node:crypto';
import { Hono } from 'hono';
import { newProgrammeSchema } from '#contract/programme';
import { checkProgramme } from '#core/course/programme';
import { passGuards } from '../access/guards';
import type { Env } from '../context';
import { findClient } from '../db/client-facts';
import { PracticeEntity, ProgrammeEntity } from '../db/entities';
import { withAudit } from '../db/with-audit';
import { calendarOf } from '../interchange/programme-calendar';
import { tellChange } from '../live/tell-change';
import { notFound } from '../problem';
import { body } from '../validate';

/** Blocks of training: kept as planned, and handed out as a calendar file. */
export const programmeRoutes = new Hono<Env>()
  .post('/:id/programmes', body(newProgrammeSchema), async (c) => {
    const client = await findClient(c.var.em, c.req.param('id'));
    const { overrideReason, ...programme } = c.req.valid('json');
    const { guards, reason } = passGuards(checkProgramme(programme), c.var.practitioner, overrideReason);
    const id = randomUUID();
    const note = {
      action: guards.length > 0 ? 'programme-kept-past-guard' : 'programme-kept',
      subject: client.id,
      detail: { id, guards: guards.map(({ rule }) => rule), reason },
    };
    await withAudit(c, note, (em) => {
      em.create(ProgrammeEntity, {
        id,
        clientId: client.id,
        atMs: c.var.nowMs,
        keptBy: c.var.practitioner.id,
        wish: programme.wish,
        days: [...programme.days].sort(),
        overrideReason: reason,
      });
    });
    return c.json(await tellChange(c, client.id), 201);
  })

  .get('/:id/programme.ics', async (c) => {
    const row = await c.var.em.findOne(ProgrammeEntity, { clientId: c.req.param('id'), superseded: false });
    if (!row) throw notFound('A block for this person');
    const { id, atMs, wish, days } = row;
    const practice = await c.var.em.findOneOrFail(PracticeEntity, { id: 'practice' });
    return c.body(calendarOf({ id, atMs, wish, days }, practice.name, c.var.nowMs), 200, {
      'content-type': 'text/calendar; charset=utf-8',
      'content-disposition': 'attachment; filename="training-block.ics"',
    });
  });
