import { type Context, Hono } from 'hono';
import {
  appendEventsSchema,
  newEnteredSessionSchema,
  newSessionSchema,
  type SessionView,
} from '#contract/session';
import { msg } from '#core/message';
import { planOfDay } from '#core/record';
import { EVENTS } from '#core/session';
import { passGuards } from '../access/guards';
import { lockedNow, requirePermission } from '../access/practitioner';
import { asJson } from '../as-json';
import type { Env } from '../context';
import { type AuditNote, writeAudit } from '../db/audit';
import { readClient } from '../db/client-facts';
import { inTransaction, type Prepare, withStatements } from '../db/dialect/connection';
import { tellChange } from '../live/tell-change';
import { opening } from '../opening';
import { notFound } from '../problem';
import { clientRecord } from '../record/client';
import { checkReviewAnswers } from '../record/commands/check-review-answers';
import { checkReviewTakenBack } from '../record/commands/check-review-taken-back';
import { enterSession } from '../record/commands/enter-session';
import { keepReviewedVersion } from '../record/commands/keep-reviewed-version';
import { takeEvents } from '../record/commands/take-events';
import { coursePlanRecord } from '../record/course-plan';
import { readCheckBefore } from '../record/day-check';
import { readKit } from '../record/kit';
import { prescriptionRecord } from '../record/prescription';
import { findRow } from '../record/read';
import {
  NOTHING_DONE,
  nextLane,
  readFrozenPlan,
  readHead,
  readIdBefore,
  readOpenHeads,
  type SessionHead,
  sessionRecord,
} from '../record/session';
import { readLogText } from '../record/session-event';
import { keepRow } from '../record/write';
import { sameJson } from '../same-json';
import { body } from '../validate';

/**
 * Sessions and their append-only logs. An event id is accepted once, any number of times.
 * @param aheadMs how far ahead of the server's clock an event may be (rule RUN-9)
 */
export const sessionRoutes = (aheadMs: number) =>
  new Hono<Env>()
    .get('/open', async (c) => {
      const views = await withStatements(c.var.em, (prepare) =>
        readOpenHeads(prepare).map((session) => viewText(prepare, session)),
      );
      return asJson<SessionView[]>(c, `[${views.join(',')}]`);
    })

    .post('/', body(newSessionSchema), async (c) => {
      const { id, prescriptionId, overrideReason, lighter = null, keepsBack } = c.req.valid('json');
      const { em, nowMs, practitioner } = c.var;
      const [already, owner] = await withStatements(em, (prepare) => [
        readHead(prepare, id),
        findRow(prepare, prescriptionRecord, { id: prescriptionId }, ['clientId']),
      ]);
      if (already) return sessionAnswer(c, id, 200);
      if (!owner) throw notFound(msg('This prescription'));
      const client = await readClient(em, owner.clientId, nowMs);
      const kit = await readKit(em);
      const { plan, signed, findings } = opening(client, kit, prescriptionId, { lighter, keepsBack }, nowMs);
      const { guards, reason } = passGuards(findings, practitioner, overrideReason);
      const own = sameJson(plan, signed) ? null : plan;
      await inTransaction(em, (prepare) => {
        keepRow(prepare, sessionRecord, {
          id,
          clientId: client.id,
          prescriptionId,
          openedAtMs: nowMs,
          plan: own,
          summary: NOTHING_DONE,
          finishedAtMs: null,
          logLine: null,
          lane: nextLane(prepare),
        });
        const note: AuditNote = {
          action: guards.length > 0 ? 'session-opened-past-guard' : 'session-opened',
          subject: client.id,
          detail: {
            id,
            guards: guards.map(({ rule }) => rule),
            reason,
            lighter,
            ...(keepsBack ? { keepsBack } : {}),
          },
        };
        writeAudit(prepare, note, { practitionerId: practitioner.id, atMs: nowMs });
      });
      c.var.feed.publish({ said: 'opened', sessionId: id });
      await tellChange(c, client.id);
      return sessionAnswer(c, id, 201);
    })

    .post('/entered', body(newEnteredSessionSchema), async (c) => {
      const { id, coursePlanId, dayCheck, ...entered } = c.req.valid('json');
      const { em, nowMs, practitioner } = c.var;
      const coursePlan = await em.findOne(coursePlanRecord.entity, { id: coursePlanId });
      if (!coursePlan) throw notFound(msg('This plan'));
      const { facts } = await readClient(em, coursePlan.clientId, nowMs);
      const kit = await readKit(em);
      const clientId = await inTransaction(em, (prepare) =>
        enterSession(
          prepare,
          {
            id,
            coursePlanId,
            entered,
            dayCheck,
            planThen: (version) => planOfDay(version, facts, kit, entered.startedAtMs),
          },
          { nowMs, aheadMs, practitionerId: practitioner.id },
        ),
      );
      await tellChange(c, clientId);
      return sessionAnswer(c, id, 201);
    })

    .get('/:id', (c) => sessionAnswer(c, c.req.param('id'), 200))

    .post('/:id/events', body(appendEventsSchema), async (c) => {
      const { events } = c.req.valid('json');
      if (c.var.signedIn.isLocked && !events.every(({ type }) => EVENTS[type].deflates)) throw lockedNow();
      // The answer to a review signs the next version of the plan.
      const answer = events.findIndex(({ type }) => type === 'review-answered');
      if (answer >= 0) requirePermission(c.var.practitioner, 'sign', `events.${answer}`);
      const { em, nowMs } = c.var;
      const sessionId = c.req.param('id');
      const kit = answer >= 0 ? await readKit(em) : null;
      const { session, fresh, changed, isTakenBack } = await inTransaction(em, (prepare) => {
        const by = { nowMs, aheadMs, practitionerId: c.var.practitioner.id };
        const taken = takeEvents(prepare, sessionId, events, by);
        if (kit) checkReviewAnswers(prepare, taken, events, { weightKits: kit.weightKits, nowMs });
        const isTakenBack = checkReviewTakenBack(prepare, taken, nowMs);
        if (isTakenBack) requirePermission(c.var.practitioner, 'sign');
        return { ...taken, isTakenBack };
      });
      if (fresh.length > 0) c.var.feed.publish({ said: 'events', events: fresh });
      if (isTakenBack || fresh.some(({ type }) => type === 'review-answered'))
        await keepReviewedVersion(c, session);
      if (changed) await tellChange(c, session.clientId);
      return c.json({ accepted: events.map(({ id }) => id) });
    });

const sessionAnswer = async (c: Context<Env>, id: string, status: 200 | 201) => {
  const text = await withStatements(c.var.em, (prepare) => {
    const session = readHead(prepare, id);
    return session && viewText(prepare, session);
  });
  if (!text) throw notFound(msg('This session'));
  return asJson<SessionView>(c, text, status);
};

/** A `SessionView` as text: its log is handed on as it is stored, since the reader sorts it anyway. */
function viewText(prepare: Prepare, session: SessionHead): string {
  const { id, clientId, prescriptionId, openedAtMs, lane } = session;
  const client = findRow(prepare, clientRecord, { id: clientId }, ['name']);
  if (!client) throw notFound(msg('This person'));
  const before = readCheckBefore(prepare, session);
  const head: Omit<SessionView, 'events'> = {
    id,
    clientId,
    clientName: client.name,
    prescriptionId,
    openedAtMs,
    lane,
    idBefore: readIdBefore(prepare, session),
    painBefore: before?.painNow ?? null,
    readiness: before?.readiness ?? null,
    plan: readFrozenPlan(prepare, id),
  };
  return `${JSON.stringify(head).slice(0, -1)},"events":${readLogText(prepare, id)}}`;
}
