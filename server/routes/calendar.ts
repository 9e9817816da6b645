import { randomBytes } from 'node:crypto';
import { Hono } from 'hono';
import { type CalendarFeed, type NewCalendarFeed, newCalendarFeedSchema } from '#contract/calendar';
import { msg } from '#core/message';
import { blockAsItStands } from '#core/record';
import type { Env } from '../context';
import { readClient } from '../db/client-facts';
import { withStatements } from '../db/dialect/connection';
import { withAudit } from '../db/with-audit';
import { type CalendarOf, calendarOf } from '../interchange/block-calendar';
import { notFound } from '../problem';
import { calendarFeedRecord, readFeed } from '../record/calendar-feed';
import { practiceRecord } from '../record/practice';
import { findRow } from '../record/read';
import { deleteRows, keepRow } from '../record/write';
import { sha256 } from '../sha256';
import { body } from '../validate';

/**
 * The sessions of everyone whose block a practitioner has kept, at an address that a calendar program can fetch: it is known by
 * a secret, which is shown once and can be changed.
 */
export const calendarRoutes = new Hono<Env>()
  .get('/', async (c) => {
    const feed = await withStatements(c.var.em, (prepare) =>
      findRow(prepare, calendarFeedRecord, { practitionerId: c.get('practitioner')?.id ?? '' }, [
        'namesPeople',
      ]),
    );
    return c.json({
      exists: feed !== undefined,
      namesPeople: feed?.namesPeople === true,
    } satisfies CalendarFeed);
  })

  .post('/', body(newCalendarFeedSchema), async (c) => {
    const { namesPeople } = c.req.valid('json');
    const secret = randomBytes(24).toString('base64url');
    const { id } = c.var.practitioner;
    await withAudit(c, { action: 'calendar-address-made', subject: id, detail: { namesPeople } }, (prepare) =>
      keepRow(
        prepare,
        calendarFeedRecord,
        { practitionerId: id, secretSha256: sha256(secret), namesPeople, madeAtMs: c.var.nowMs },
        { sameAs: ['practitionerId'], update: ['secretSha256', 'namesPeople', 'madeAtMs'] },
      ),
    );
    const made: NewCalendarFeed = { exists: true, namesPeople, path: `/api/calendar/${secret}/training.ics` };
    return c.json(made, 201);
  })

  .post('/end', async (c) => {
    const { id } = c.var.practitioner;
    await withAudit(c, { action: 'calendar-address-ended', subject: id, detail: {} }, (prepare) =>
      deleteRows(prepare, calendarFeedRecord, { practitionerId: id }),
    );
    return c.json({ exists: false, namesPeople: false } satisfies CalendarFeed);
  })

  .get('/:secret/training.ics', async (c) => {
    const hash = sha256(c.req.param('secret'));
    const found = await withStatements(c.var.em, (prepare) => readFeed(prepare, hash));
    if (!found) throw notFound(msg('This calendar'));
    const blocks: CalendarOf[] = [];
    for (const clientId of found.clientIds) {
      const { name, facts } = await readClient(c.var.em, clientId, c.var.nowMs);
      const standing = blockAsItStands(facts, c.var.nowMs);
      if (standing) blocks.push({ standing, name: found.feed.namesPeople === 1 ? name : null });
    }
    const practice = await c.var.em.findOneOrFail(practiceRecord.entity, { id: 'practice' });
    return c.body(calendarOf(blocks, practice.name, c.var.nowMs), 200, {
      'content-type': 'text/calendar; charset=utf-8',
      'cache-control': 'no-store',
    });
  });
