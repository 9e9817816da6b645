import type { EntityManager } from '@mikro-orm/libsql';
import { readPlan } from '#core/plan/versions/read-plan';
import { newest } from '#core/quantity/newest';
import { type SessionSummary, summaryOf } from '#core/review/summary';
import type { SessionEvent } from '#core/session/events';
import { fold } from '#core/session/fold';
import { mergeLogs } from '#core/session/log';
import { DayCheckEntity, SessionEntity, SessionEventEntity, type SessionRow } from './entities';

/** A session in which nothing has happened yet. */
export const NOTHING_DONE: SessionSummary = {
  worked: [],
  tolerated: true,
  reviewed: true,
  followUp: null,
};

/** Types of events that change what later sessions ask of this one. */
const MATTERS: readonly SessionEvent['type'][] = [
  'set-started',
  'session-finished',
  'review-answered',
  'followed-up',
  'sign-noted',
  'stopped',
];

export const changesSummary = (session: SessionRow, events: readonly SessionEvent[]): boolean =>
  session.finishedAtMs != null || events.some(({ type }) => MATTERS.includes(type));

/** Makes the summary of a session anew from its log. */
export async function summarise(em: EntityManager, session: SessionRow): Promise<void> {
  const rows = await em.find(SessionEventEntity, { sessionId: session.id });
  const checks = await em.find(DayCheckEntity, {
    clientId: session.clientId,
    atMs: { $lte: session.openedAtMs },
  });
  const plan = readPlan(session.plan);
  const state = fold(plan, mergeLogs(rows.map(({ event }) => event)));
  const summary = summaryOf(plan, state, newest(checks)?.answers.painNow ?? null);
  await em.nativeUpdate(SessionEntity, { id: session.id }, { summary });
}

/** Summaries of sessions that were kept before there were any. */
export async function fillSummaries(em: EntityManager): Promise<void> {
  const old = (await em.getConnection().execute("select id from session where summary = '{}'")) as {
    id: string;
  }[];
  for (const { id } of old) await summarise(em, await em.findOneOrFail(SessionEntity, { id }));
}
