import { type Context, Hono } from 'hono';
import {
  type IssuedReport,
  type LogView,
  newAdverseEventSchema,
  newOutcomeSchema,
  newReportSchema,
  type OutcomesView,
  withdrawalSchema,
} from '#contract/outcomes';
import { checkTaken, valueTaken } from '#core/outcomes/measures';
import { asJson } from '../as-json';
import type { Env } from '../context';
import { findClient } from '../db/client-facts';
import { AdverseEventEntity, OutcomeEntity, ReportEntity, SessionEntity } from '../db/entities';
import { readLogText, readOutcomes } from '../db/outcomes';
import { withStatements } from '../db/sqlite';
import { withAudit } from '../db/with-audit';
import { happenedAtMs } from '../happened';
import { tellChange } from '../live/tell-change';
import { notFound, refusedField } from '../problem';
import { body } from '../validate';

/** What was measured of a person (OUT), what went wrong, and their log. */
export const outcomeRoutes = new Hono<Env>()
  .get('/:id/log', async (c) => {
    const { id } = await findClient(c.var.em, c.req.param('id'));
    return asJson<LogView>(c, await withStatements(c.var.em, (prepare) => readLogText(prepare, id)));
  })

  .get('/:id/outcomes', async (c) => {
    const { id } = await findClient(c.var.em, c.req.param('id'));
    return c.json(await outcomesOf(c, id));
  })

  .post('/:id/outcomes', body(newOutcomeSchema), async (c) => {
    const client = await findClient(c.var.em, c.req.param('id'));
    const taken = c.req.valid('json');
    const [wrong] = checkTaken(taken);
    if (wrong)
      throw refusedField(
        'Not as it should be',
        wrong.field,
        'OUT-1',
        wrong.message,
        'Mend it, and keep it again.',
      );
    const atMs = happenedAtMs(taken.atMs, c.var.nowMs, 'OUT-1');
    const already = await c.var.em.findOne(OutcomeEntity, { id: taken.id });
    if (!already) {
      await withAudit(c, { action: 'outcome-kept', subject: client.id, detail: taken }, (em) => {
        em.create(OutcomeEntity, {
          ...taken,
          atMs,
          clientId: client.id,
          value: valueTaken(taken),
          practitionerId: c.var.practitioner.id,
          withdrawn: null,
        });
      });
    }
    await tellChange(c, client.id);
    return c.json(await outcomesOf(c, client.id), 201);
  })

  .post('/:id/outcomes/:outcomeId/withdrawal', body(withdrawalSchema), async (c) => {
    const client = await findClient(c.var.em, c.req.param('id'));
    const { reason } = c.req.valid('json');
    const outcome = await c.var.em.findOne(OutcomeEntity, {
      id: c.req.param('outcomeId'),
      clientId: client.id,
    });
    if (!outcome) throw notFound('This measure');
    const detail = { id: outcome.id, value: outcome.value, reason };
    await withAudit(c, { action: 'outcome-withdrawn', subject: client.id, detail }, (em) =>
      em.nativeUpdate(OutcomeEntity, { id: outcome.id }, { withdrawn: reason }),
    );
    await tellChange(c, client.id);
    return c.json(await outcomesOf(c, client.id));
  })

  .get('/:id/reports', async (c) => {
    const { id } = await findClient(c.var.em, c.req.param('id'));
    const reports = await c.var.em.find(ReportEntity, { clientId: id }, { orderBy: { atMs: 'desc' } });
    return c.json(
      reports.map(({ id: reportId, atMs, content }): IssuedReport => ({ id: reportId, atMs, content })),
    );
  })

  .post('/:id/reports', body(newReportSchema), async (c) => {
    const client = await findClient(c.var.em, c.req.param('id'));
    const { id, content } = c.req.valid('json');
    const known = await c.var.em.findOne(ReportEntity, { id });
    const issued: IssuedReport = known ?? { id, atMs: c.var.nowMs, content };
    if (!known) {
      await withAudit(c, { action: 'report-issued', subject: client.id, detail: { id } }, (em) => {
        em.create(ReportEntity, { ...issued, clientId: client.id, practitionerId: c.var.practitioner.id });
      });
    }
    return c.json({ id: issued.id, atMs: issued.atMs, content: issued.content } satisfies IssuedReport, 201);
  })

  .post('/:id/adverse-events', body(newAdverseEventSchema), async (c) => {
    const client = await findClient(c.var.em, c.req.param('id'));
    const event = c.req.valid('json');
    const atMs = happenedAtMs(event.atMs, c.var.nowMs, 'OUT-7');
    if (event.sessionId !== null) {
      const session = await c.var.em.findOne(SessionEntity, { id: event.sessionId, clientId: client.id });
      if (!session) throw notFound('This session');
    }
    if (!(await c.var.em.findOne(AdverseEventEntity, { id: event.id }))) {
      await withAudit(c, { action: 'adverse-event-kept', subject: client.id, detail: event }, (em) => {
        em.create(AdverseEventEntity, {
          ...event,
          atMs,
          clientId: client.id,
          practitionerId: c.var.practitioner.id,
          writtenAtMs: c.var.nowMs,
        });
      });
    }
    return c.json(await outcomesOf(c, client.id), 201);
  });

const outcomesOf = (c: Context<Env>, clientId: string): Promise<OutcomesView> =>
  withStatements(c.var.em, (prepare) => readOutcomes(prepare, clientId));
