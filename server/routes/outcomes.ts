import { type Context, Hono } from 'hono';
import type { ClientRecord } from '#contract/client';
import {
  endOfComparisonSchema,
  type IssuedReport,
  type LogView,
  newAdverseEventSchema,
  newComparisonSchema,
  newOutcomeSchema,
  newReportSchema,
  type OutcomesView,
  onPaperSchema,
  withdrawalSchema,
} from '#contract/outcomes';
import { PRINT_PATH } from '#contract/print';
import { writingOf } from '#contract/writing';
import { type Message, msg } from '#core/message';
import {
  type Comparison,
  type ComparisonWish,
  checkTaken,
  limbsFor,
  type Measure,
  type MeasureBook,
  type MeasureId,
  measureBook,
} from '#core/outcomes';
import { dayAt, dayOf, limbKind } from '#core/quantity';
import { comparisonInForce } from '#core/record';
import { asJson } from '../as-json';
import type { Env } from '../context';
import { findClient, readClient } from '../db/client-facts';
import { type Prepare, withStatements } from '../db/dialect/connection';
import { readOutcomes } from '../db/outcomes';
import { withAudit } from '../db/with-audit';
import { happenedAtMs } from '../happened';
import { tellChange } from '../live/tell-change';
import { notFound, refusedField } from '../problem';
import { adverseEventRecord } from '../record/adverse-event';
import { keepOutcome } from '../record/commands/keep-outcome';
import { comparisonRecord } from '../record/comparison';
import { ownMeasures } from '../record/measure';
import { outcomeRecord } from '../record/outcome';
import { practiceRecord } from '../record/practice';
import { reportRecord } from '../record/report';
import { readLinesText, sessionRecord } from '../record/session';
import { changeRows, keepRow } from '../record/write';
import { body } from '../validate';

/** What was measured of a person (OUT), what went wrong, and their log. */
export const outcomeRoutes = new Hono<Env>()
  .get('/:id/log', async (c) => {
    const { id } = await findClient(c.var.em, c.req.param('id'));
    return asJson<LogView>(c, await withStatements(c.var.em, (prepare) => readLinesText(prepare, id)));
  })

  .get('/:id/outcomes', async (c) => {
    const { id } = await findClient(c.var.em, c.req.param('id'));
    return c.json(await outcomesOf(c, id));
  })

  .post('/:id/outcomes', body(newOutcomeSchema), async (c) => {
    const client = await findClient(c.var.em, c.req.param('id'));
    const taken = c.req.valid('json');
    const measure = measureIn(await withStatements(c.var.em, bookInUse), taken.measureId);
    const [wrong] = checkTaken(taken, measure);
    if (wrong)
      throw refusedField(
        msg('Not as it should be'),
        wrong.field,
        'OUT-1',
        wrong.message,
        msg('Correct it, and keep it again.'),
      );
    const atMs = happenedAtMs(taken.atMs, c.var.nowMs, 'OUT-1');
    const already = await c.var.em.findOne(outcomeRecord.entity, { id: taken.id });
    if (!already) {
      await withAudit(c, { action: 'outcome-kept', subject: client.id, detail: taken }, (prepare) =>
        keepOutcome(
          prepare,
          { ...taken, atMs, clientId: client.id, practitionerId: c.var.practitioner.id },
          measure,
        ),
      );
    }
    await tellChange(c, client.id);
    return c.json(await outcomesOf(c, client.id), 201);
  })

  .post('/:id/outcomes/:outcomeId/withdrawal', body(withdrawalSchema), async (c) => {
    const client = await findClient(c.var.em, c.req.param('id'));
    const { reason } = c.req.valid('json');
    const outcome = await c.var.em.findOne(outcomeRecord.entity, {
      id: c.req.param('outcomeId'),
      clientId: client.id,
    });
    if (!outcome) throw notFound(msg('This measure'));
    const detail = { id: outcome.id, value: outcome.value, reason };
    await withAudit(c, { action: 'outcome-withdrawn', subject: client.id, detail }, (prepare) =>
      changeRows(prepare, outcomeRecord, { id: outcome.id }, { withdrawn: reason }),
    );
    await tellChange(c, client.id);
    return c.json(await outcomesOf(c, client.id));
  })

  .post('/:id/comparisons', body(newComparisonSchema), async (c) => {
    const client = await readClient(c.var.em, c.req.param('id'), c.var.nowMs);
    const { id, wish } = c.req.valid('json');
    if (!(await c.var.em.findOne(comparisonRecord.entity, { id }))) {
      refuseWish(client, wish, await withStatements(c.var.em, bookInUse), c.var.nowMs);
      // Drawn here, so that it is not drawn until it pleases.
      const design: Comparison = { ...wish, seed: c.var.draw() };
      await withAudit(
        c,
        { action: 'comparison-begun', subject: client.id, detail: { id, design } },
        (prepare) => {
          keepRow(prepare, comparisonRecord, {
            id,
            clientId: client.id,
            atMs: c.var.nowMs,
            design,
            practitionerId: c.var.practitioner.id,
            endedAtMs: null,
            endedWhy: null,
          });
        },
      );
    }
    await tellChange(c, client.id);
    return c.json(await outcomesOf(c, client.id), 201);
  })

  .post('/:id/comparisons/:comparisonId/end', body(endOfComparisonSchema), async (c) => {
    const client = await findClient(c.var.em, c.req.param('id'));
    const { why } = c.req.valid('json');
    const id = c.req.param('comparisonId');
    const comparison = await c.var.em.findOne(comparisonRecord.entity, { id, clientId: client.id });
    if (!comparison) throw notFound(msg('This comparison'));
    await withAudit(c, { action: 'comparison-ended', subject: client.id, detail: { id, why } }, (prepare) =>
      changeRows(prepare, comparisonRecord, { id }, { endedAtMs: c.var.nowMs, endedWhy: why }),
    );
    await tellChange(c, client.id);
    return c.json(await outcomesOf(c, client.id));
  })

  .get('/:id/reports', async (c) => {
    const { id } = await findClient(c.var.em, c.req.param('id'));
    const reports = await c.var.em.find(reportRecord.entity, { clientId: id }, { orderBy: { atMs: 'desc' } });
    return c.json(
      reports.map(({ id: reportId, atMs, content }): IssuedReport => ({ id: reportId, atMs, content })),
    );
  })

  .post('/:id/reports/:reportId/pdf', body(onPaperSchema), async (c) => {
    const { id } = await findClient(c.var.em, c.req.param('id'));
    const report = await c.var.em.findOne(reportRecord.entity, { id: c.req.param('reportId'), clientId: id });
    if (!report || !c.var.print) throw notFound(msg('This report as PDF'));
    const { paper, language } = c.req.valid('json');
    const { id: reportId, atMs, content } = report;
    const practice = await c.var.em.findOneOrFail(practiceRecord.entity, { id: 'practice' });
    const ticket = c.var.tickets.give({
      report: { id: reportId, atMs, content },
      writing: writingOf(practice),
    });
    const asked = new URLSearchParams({ ticket, paper, language });
    const pdf = await c.var.print(`${PRINT_PATH}?${asked}`);
    await withAudit(c, { action: 'report-printed', subject: id, detail: { id: report.id } }, () => undefined);
    return c.body(pdf, 200, { 'content-type': 'application/pdf', 'cache-control': 'no-store' });
  })

  .post('/:id/reports', body(newReportSchema), async (c) => {
    const client = await findClient(c.var.em, c.req.param('id'));
    const { id, content } = c.req.valid('json');
    const known = await c.var.em.findOne(reportRecord.entity, { id });
    const issued: IssuedReport = known ?? { id, atMs: c.var.nowMs, content };
    if (!known) {
      await withAudit(c, { action: 'report-issued', subject: client.id, detail: { id } }, (prepare) => {
        keepRow(prepare, reportRecord, {
          ...issued,
          clientId: client.id,
          practitionerId: c.var.practitioner.id,
        });
      });
    }
    return c.json({ id: issued.id, atMs: issued.atMs, content: issued.content } satisfies IssuedReport, 201);
  })

  .post('/:id/adverse-events', body(newAdverseEventSchema), async (c) => {
    const client = await findClient(c.var.em, c.req.param('id'));
    const event = c.req.valid('json');
    const atMs = happenedAtMs(event.atMs, c.var.nowMs, 'OUT-7');
    if (event.sessionId !== null) {
      const session = await c.var.em.findOne(sessionRecord.entity, {
        id: event.sessionId,
        clientId: client.id,
      });
      if (!session) throw notFound(msg('This session'));
    }
    if (!(await c.var.em.findOne(adverseEventRecord.entity, { id: event.id }))) {
      await withAudit(c, { action: 'adverse-event-kept', subject: client.id, detail: event }, (prepare) => {
        keepRow(prepare, adverseEventRecord, {
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

/** One at a time, of a measure that is there, of a limb it can be taken of, and not in the past. */
function refuseWish(client: ClientRecord, wish: ComparisonWish, book: MeasureBook, nowMs: number): void {
  const measure = measureIn(book, wish.measureId);
  const limbs = limbsFor(measure);
  const refuse = (field: string, message: Message, remedy: Message) =>
    refusedField(msg('Not as it should be'), field, 'OUT-2', message, remedy);
  if (wish.kind === 'limbs' && !limbs.some((limb) => limbKind(limb) === wish.limbs))
    throw refuse(
      'measureId',
      msg('{measure} is not taken of each side.', { measure: measure.label }),
      msg('Choose one that is.'),
    );
  if (wish.kind === 'periods' && limbs.length > 0 !== (wish.limb !== null && limbs.includes(wish.limb)))
    throw refuse(
      'limb',
      msg('The measure and the limb do not go together.'),
      msg('Choose the limb it is taken of.'),
    );
  if (measure.setting !== undefined && wish.setting === '')
    throw refuse(
      'setting',
      msg('{setting}: say it, so that each time is the same.', { setting: measure.setting }),
      msg('Fill it in.'),
    );
  if (dayOf(wish.startsOn) < dayAt(nowMs, client.facts.zoneOffsetMs))
    throw refuse('startsOn', msg('It would begin in the past.'), msg('Choose today or a later day.'));
  if (comparisonInForce(client.facts, nowMs))
    throw refuse(
      'startsOn',
      msg('A comparison runs already, and two would blur each other.'),
      msg('End it first, or wait.'),
    );
}

/** A measure that can be taken. @throws refused where the practice has none of that id */
function measureIn(book: MeasureBook, id: MeasureId): Measure {
  const measure = book[id];
  if (measure) return measure;
  throw refusedField(
    msg('Unknown measure'),
    'measureId',
    'OUT-1',
    msg('Nothing is measured by this name.'),
    msg('Choose another.'),
  );
}

const bookInUse = (prepare: Prepare) => measureBook(ownMeasures(prepare));

const outcomesOf = (c: Context<Env>, clientId: string): Promise<OutcomesView> =>
  withStatements(c.var.em, (prepare) => readOutcomes(prepare, clientId));
