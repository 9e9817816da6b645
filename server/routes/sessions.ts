import type { EntityManager } from '@mikro-orm/libsql';
import { Hono } from 'hono';
import { streamSSE } from 'hono/streaming';
import type { ClientRecord } from '#contract/client';
import type { Kit } from '#contract/practice';
import { appendEventsSchema, type FeedMessage, newSessionSchema, type SessionView } from '#contract/session';
import { hardFindings } from '#core/findings/finding';
import { readPlan } from '#core/plan/versions/read-plan';
import { agoWords } from '#core/record/age-words';
import { linksThatHold } from '#core/record/chain';
import { sessionToAskAbout } from '#core/record/day-after';
import { dayCheckInForce, planInForce } from '#core/record/in-force';
import { recheck } from '#core/record/recheck';
import type { SessionEvent } from '#core/session/events';
import { mergeLogs } from '#core/session/log';
import { passGuards } from '../access/guards';
import type { Env } from '../context';
import { readClient } from '../db/client-facts';
import {
  ClientEntity,
  PrescriptionEntity,
  SessionEntity,
  SessionEventEntity,
  type SessionRow,
} from '../db/entities';
import { holdsOfEvents, raiseHolds } from '../db/holds';
import { readKit } from '../db/kit';
import { changesSummary, NOTHING_DONE, summarise } from '../db/session-summary';
import { withAudit } from '../db/with-audit';
import { checkEvents } from '../live/check-events';
import type { SessionFeed } from '../live/session-feed';
import { notFound, Problem, refusedByRules, refusedField } from '../problem';
import { body } from '../validate';

/** A quiet stream is written to now and then, so that nothing on the way takes it for dead. */
const KEEP_ALIVE_MS = 15_000;

/**
 * Sessions and their append-only logs. An event id is accepted once, any number of times.
 * @param aheadMs how far ahead of the server's clock an event may be (rule RUN-9)
 */
export const sessionRoutes = (feed: SessionFeed, aheadMs: number) =>
  new Hono<Env>()
    .get('/feed', (c) =>
      streamSSE(c, async (stream) => {
        const waiting: FeedMessage[] = [];
        let wake = () => {};
        const stop = feed.subscribe((message) => {
          waiting.push(message);
          wake();
        });
        stream.onAbort(() => {
          stop();
          wake();
        });
        // Said at once, so that who connects knows that the stream stands.
        await stream.writeSSE({ event: 'ready', data: '' });
        while (!stream.aborted) {
          const message = waiting.shift();
          if (message) {
            await stream.writeSSE({ data: JSON.stringify(message) });
            continue;
          }
          const timer = setTimeout(() => wake(), KEEP_ALIVE_MS);
          await new Promise<void>((done) => {
            wake = done;
          });
          clearTimeout(timer);
          if (waiting.length === 0 && !stream.aborted) await stream.writeSSE({ event: 'ready', data: '' });
        }
      }),
    )

    .get('/open', async (c) => {
      const open = await c.var.em.find(
        SessionEntity,
        { finishedAtMs: null },
        { orderBy: { openedAtMs: 'asc' } },
      );
      return c.json(await viewsOf(c.var.em, open));
    })

    .post('/', body(newSessionSchema), async (c) => {
      const { id, prescriptionId, overrideReason } = c.req.valid('json');
      const already = await c.var.em.findOne(SessionEntity, { id });
      if (already) return c.json(await viewOf(c.var.em, already), 200);
      const prescription = await c.var.em.findOne(PrescriptionEntity, { id: prescriptionId });
      if (!prescription) throw notFound('This prescription');
      const client = await readClient(c.var.em, prescription.clientId, c.var.nowMs);
      const kit = await readKit(c.var.em);
      const { plan, findings } = opening(client, kit, prescriptionId, c.var.nowMs);
      const { guards, reason } = passGuards(findings, c.var.practitioner, overrideReason);
      const session = await withAudit(
        c,
        {
          action: guards.length > 0 ? 'session-opened-past-guard' : 'session-opened',
          subject: client.id,
          detail: { id, guards: guards.map(({ rule }) => rule), reason },
        },
        (em) =>
          em.create(SessionEntity, {
            id,
            clientId: client.id,
            prescriptionId,
            openedAtMs: c.var.nowMs,
            finishedAtMs: null,
            plan,
            summary: NOTHING_DONE,
          }),
      );
      feed.publish({ opened: session.id, events: [] });
      return c.json(await viewOf(c.var.em, session), 201);
    })

    .get('/:id', async (c) => c.json(await viewOf(c.var.em, await findSession(c.var.em, c.req.param('id')))))

    .post('/:id/events', body(appendEventsSchema), async (c) => {
      const session = await findSession(c.var.em, c.req.param('id'));
      const { events } = c.req.valid('json');
      const fresh = await checkEvents(c.var.em, session, events, c.var.nowMs, aheadMs);
      await withAudit(
        c,
        { action: 'events-appended', subject: session.id, detail: { count: fresh.length } },
        async (em) => {
          await appendEvents(em, session, fresh, {
            receivedAtMs: c.var.nowMs,
            practitionerId: c.var.practitioner.id,
          });
          await raiseHolds(em, session.clientId, holdsOfEvents(session, fresh, c.var.nowMs));
          if (changesSummary(session, fresh)) await summarise(em, session);
        },
      );
      if (fresh.length > 0) feed.publish({ opened: null, events: fresh });
      return c.json({ accepted: events.map(({ id }) => id) });
    });

// The query builder passes the driver's error through as it is.
const isUniqueClash = (error: unknown): boolean =>
  error instanceof Error && 'code' in error && error.code === 'SQLITE_CONSTRAINT_UNIQUE';

const sequenceClash = new Problem(
  409,
  'Sequence clash',
  'Two different events carry the same sequence number of one device; none of this batch was stored. Reload the page: it goes on as a new device.',
);

async function appendEvents(
  em: EntityManager,
  session: SessionRow,
  events: SessionEvent[],
  receipt: { receivedAtMs: number; practitionerId: string },
): Promise<void> {
  if (events.length === 0) return;
  const rows = mergeLogs(events).map((event) => ({
    id: event.id,
    sessionId: session.id,
    deviceId: event.deviceId,
    seq: event.seq,
    atMs: event.atMs,
    type: event.type,
    event,
    ...receipt,
  }));
  try {
    await em.createQueryBuilder(SessionEventEntity).insert(rows).onConflict('id').ignore().execute();
  } catch (error) {
    if (isUniqueClash(error)) throw sequenceClash;
    throw error;
  }
  const finished = events.find((event) => event.type === 'session-finished');
  if (finished && session.finishedAtMs === null) {
    await em.nativeUpdate(SessionEntity, { id: session.id }, { finishedAtMs: finished.atMs });
  }
}

/**
 * What a session would freeze and what guards it would pass (rules START-1, SCR-3, RUN-6).
 * @throws Problem while anything keeps it from opening
 */
function opening({ facts }: ClientRecord, kit: Kit, prescriptionId: string, nowMs: number) {
  const prescription = planInForce(facts);
  if (!prescription || prescription.id !== prescriptionId) {
    throw new Problem(409, 'Superseded', 'A newer prescription has been signed: run that one.');
  }
  if (facts.sessions.some(({ finishedAtMs }) => finishedAtMs === null)) {
    throw new Problem(409, 'Already open', 'A session of this person is open: finish it first.');
  }
  const held = linksThatHold(facts, kit, nowMs).map(({ id, reason, rules }) => ({
    path: id,
    message: reason,
    rule: rules[0] ?? 'SCR-1',
    level: 'hard' as const,
  }));
  if (held.length > 0) {
    const words = held.map(({ message }) => message).join(' ');
    throw new Problem(422, 'Not ready to run', `A link of the chain does not hold. ${words}`, held);
  }
  if (!dayCheckInForce(facts, nowMs)) {
    throw refusedField(
      'Not ready to run',
      'dayCheck',
      'SCR-3',
      'There is no on-the-day check of today.',
      'Make it first; it takes ten seconds.',
    );
  }
  const ask = sessionToAskAbout(facts, nowMs);
  if (ask) {
    throw refusedField(
      'Ask first',
      'followUp',
      'RUN-6',
      `Nobody has asked how the session ${agoWords(ask.startedAtMs, nowMs)} was.`,
      'Ask about soreness, bruising and numbness; it takes ten seconds.',
    );
  }
  const { plan, findings } = recheck(prescription, facts, kit, nowMs);
  if (!plan || hardFindings(findings).length > 0) throw refusedByRules(hardFindings(findings));
  return { plan, findings };
}

async function findSession(em: EntityManager, id: string): Promise<SessionRow> {
  const session = await em.findOne(SessionEntity, { id });
  if (!session) throw notFound('This session');
  return session;
}

async function viewsOf(em: EntityManager, sessions: SessionRow[]): Promise<SessionView[]> {
  const rows = await em.find(SessionEventEntity, { sessionId: { $in: sessions.map(({ id }) => id) } });
  const clients = await em.find(ClientEntity, { id: { $in: sessions.map(({ clientId }) => clientId) } });
  return sessions.map(({ id, clientId, prescriptionId, openedAtMs, plan }) => ({
    id,
    clientId,
    clientName: clients.find((client) => client.id === clientId)?.name ?? '',
    prescriptionId,
    openedAtMs,
    plan: readPlan(plan),
    events: [...mergeLogs(rows.filter((row) => row.sessionId === id).map(({ event }) => event))],
  }));
}

async function viewOf(em: EntityManager, session: SessionRow): Promise<SessionView> {
  const [view] = await viewsOf(em, [session]);
  if (!view) throw notFound('This session');
  return view;
}
