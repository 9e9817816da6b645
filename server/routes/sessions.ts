import type { EntityManager } from '@mikro-orm/libsql';
import { Hono } from 'hono';
import { streamSSE } from 'hono/streaming';
import { appendEventsSchema, type FeedMessage, newSessionSchema, type SessionView } from '#contract/session';
import { readPlan } from '#core/plan/versions/read-plan';
import { currentPrescription, dayCheckToday, linksThatHold } from '#core/record/chain';
import { mergeLogs, type SessionEvent } from '#core/session/events';
import type { Env } from '../context';
import { readClient } from '../db/client-facts';
import {
  ClientEntity,
  PrescriptionEntity,
  SessionEntity,
  SessionEventEntity,
  type SessionRow,
} from '../db/entities';
import { withAudit } from '../db/with-audit';
import type { SessionFeed } from '../live/session-feed';
import { notFound, Problem, refusedField } from '../problem';
import { body } from '../validate';

/** A quiet stream is written to now and then, so that nothing on the way takes it for dead. */
const KEEP_ALIVE_MS = 15_000;

/** Sessions and their append-only logs. An event id is accepted once, any number of times. */
export const sessionRoutes = (feed: SessionFeed) =>
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
      const { id, prescriptionId } = c.req.valid('json');
      const already = await c.var.em.findOne(SessionEntity, { id });
      if (already) return c.json(await viewOf(c.var.em, already), 200);
      const prescription = await c.var.em.findOne(PrescriptionEntity, { id: prescriptionId });
      if (!prescription) throw notFound('This prescription');
      const client = await readClient(c.var.em, prescription.clientId, c.var.nowMs);
      refuseUnlessReady(client.facts, prescriptionId, c.var.nowMs);
      const session = await withAudit(
        c,
        { action: 'session-opened', subject: client.id, detail: { id } },
        (em) =>
          em.create(SessionEntity, {
            id,
            clientId: client.id,
            prescriptionId,
            openedAtMs: c.var.nowMs,
            finishedAtMs: null,
            plan: prescription.plan,
          }),
      );
      feed.publish({ opened: session.id, events: [] });
      return c.json(await viewOf(c.var.em, session), 201);
    })

    .get('/:id', async (c) => c.json(await viewOf(c.var.em, await findSession(c.var.em, c.req.param('id')))))

    .post('/:id/events', body(appendEventsSchema), async (c) => {
      const session = await findSession(c.var.em, c.req.param('id'));
      const { events } = c.req.valid('json');
      const stray = events.findIndex((event) => event.sessionId !== session.id);
      if (stray >= 0) {
        throw new Problem(400, 'Another session', 'An event belongs to another session; none was stored.', [
          { path: `events.${stray}.sessionId`, message: 'This event belongs to another session.' },
        ]);
      }
      await withAudit(
        c,
        { action: 'events-appended', subject: session.id, detail: { count: events.length } },
        (em) =>
          appendEvents(em, session, events, {
            receivedAtMs: c.var.nowMs,
            practitionerId: c.var.practitioner.id,
          }),
      );
      feed.publish({ opened: null, events });
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

function refuseUnlessReady(
  facts: Parameters<typeof linksThatHold>[0],
  prescriptionId: string,
  nowMs: number,
): void {
  const held = linksThatHold(facts, nowMs).map(({ id, reason, rules }) => ({
    path: id,
    message: reason,
    rule: rules[0] ?? 'SCR-1',
    level: 'hard' as const,
  }));
  if (held.length > 0) {
    const words = held.map(({ message }) => message).join(' ');
    throw new Problem(422, 'Not ready to run', `A link of the chain does not hold. ${words}`, held);
  }
  if (!dayCheckToday(facts, nowMs)) {
    throw refusedField(
      'Not ready to run',
      'dayCheck',
      'SCR-3',
      'There is no on-the-day check of today.',
      'Make it first; it takes ten seconds.',
    );
  }
  if (currentPrescription(facts)?.id !== prescriptionId) {
    throw new Problem(409, 'Superseded', 'A newer prescription has been signed: run that one.');
  }
  if (facts.sessions.some(({ finishedAtMs }) => finishedAtMs === null)) {
    throw new Problem(409, 'Already open', 'A session of this person is open: finish it first.');
  }
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
    events: mergeLogs(rows.filter((row) => row.sessionId === id).map(({ event }) => event)),
  }));
}

async function viewOf(em: EntityManager, session: SessionRow): Promise<SessionView> {
  const [view] = await viewsOf(em, [session]);
  if (!view) throw notFound('This session');
  return view;
}
