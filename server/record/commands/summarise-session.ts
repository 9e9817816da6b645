import { sessionLine } from '#core/outcomes';
import type { PastSession, SessionFact } from '#core/record';
import { type SessionSummary, summaryOf, withFormer } from '#core/review';
import { EVENTS, fold, type SessionEvent } from '#core/session';
import type { Prepare } from '../../db/dialect/connection';
import { type Opened, readCheckBefore } from '../day-check';
import { findRow } from '../read';
import { NOTHING_DONE, readFrozenPlan, readUnsummarised, type SessionHead, sessionRecord } from '../session';
import { readLog } from '../session-event';
import { changeRows } from '../write';
import { recount } from './recount-inflations';

/** A session as its log folds now, with pain before it. */
export function readDone(prepare: Prepare, session: Opened & { id: string }) {
  const plan = readFrozenPlan(prepare, session.id);
  return {
    plan,
    state: fold(plan, readLog(prepare, session.id)),
    painBefore: readCheckBefore(prepare, session)?.painNow ?? null,
  };
}

/** A session of a person that is over, with what its log folds to. */
export const readPast = (prepare: Prepare, clientId: string, fact: SessionFact): PastSession => ({
  fact,
  ...readDone(prepare, { id: fact.id, clientId, openedAtMs: fact.startedAtMs }),
});

/** Whether events change what later sessions ask of this one. */
export const changesSummary = (
  { finishedAtMs }: Pick<SessionHead, 'finishedAtMs'>,
  events: readonly SessionEvent[],
): boolean =>
  events.length > 0 && (finishedAtMs !== null || events.some(({ type }) => EVENTS[type].changesSummary));

/** Makes the summary of a session from its log, and its line in the person's log once it is finished. */
export function summarise(prepare: Prepare, session: SessionHead): void {
  keepSummary(prepare, session, (made) => made);
}

/**
 * The same for a log that has grown: what the summary said until now is kept with it (rule CRS-2).
 * @param session as it was before
 */
export function summariseAgain(prepare: Prepare, session: SessionHead, nowMs: number): void {
  const { finishedAtMs } = session;
  const before =
    finishedAtMs === null ? undefined : findRow(prepare, sessionRecord, { id: session.id }, ['summary']);
  keepSummary(prepare, session, (made) =>
    before ? withFormer(made, { ...NOTHING_DONE, ...before.summary, finishedAtMs }, nowMs) : made,
  );
}

function keepSummary(
  prepare: Prepare,
  session: SessionHead,
  asKept: (made: SessionSummary) => SessionSummary,
): void {
  const { plan, state, painBefore } = readDone(prepare, session);
  const summary = asKept(summaryOf(plan, state, painBefore));
  const line = state.finishedAtMs === null ? null : sessionLine(plan, state);
  if (line) recount(prepare, session, line);
  changeRows(prepare, sessionRecord, { id: session.id }, { summary, logLine: line });
}

/** Summaries and lines of sessions that were kept before there were any. */
export function fillSummaries(prepare: Prepare): void {
  for (const session of readUnsummarised(prepare)) summarise(prepare, session);
}
