import { sessionLine } from '#core/outcomes';
import { type Plan, readPlan } from '#core/plan';
import type { PastSession, SessionFact } from '#core/record';
import { summaryOf } from '#core/review';
import type { DayCheckAnswers } from '#core/screening';
import { EVENTS, fold, type Log, mergeLogs, type SessionEvent } from '#core/session';
import { sessionRecord } from '../record/session';
import { changeRows } from '../record/write';
import type { Prepare } from './dialect/connection';
import { joined } from './dialect/sql';
import { recount } from './surveillance';

/** A session without its plan and log, which few ask for. */
export type SessionHead = {
  id: string;
  clientId: string;
  prescriptionId: string;
  openedAtMs: number;
  finishedAtMs: number | null;
  /** 1 where the whole session was retracted. */
  isRetracted: number;
};

/** Whose a session is, and when it was opened. */
type Opened = Pick<SessionHead, 'clientId' | 'openedAtMs'>;

const HEAD = `id, client_id as "clientId", prescription_id as "prescriptionId", opened_at_ms as "openedAtMs",
  finished_at_ms as "finishedAtMs", superseded = 2 as "isRetracted"`;

export const readHead = (prepare: Prepare, id: string): SessionHead | undefined =>
  prepare(`select ${HEAD} from session where id = ?`).get(id) as SessionHead | undefined;

/** Sessions that are not finished, in the order they were opened. */
export const readOpenHeads = (prepare: Prepare): SessionHead[] =>
  prepare(
    `select ${HEAD} from session where finished_at_ms is null order by opened_at_ms`,
  ).all() as SessionHead[];

/** A session kept no plan of its own where it froze the prescription's as it was signed. */
export const AS_SIGNED = 'null';

/** The plan a session froze when it was opened. */
export function readFrozenPlan(prepare: Prepare, sessionId: string): Plan {
  const { own, signed } = prepare(
    `select session.plan as own, prescription.plan as signed from session
     join prescription on prescription.id = session.prescription_id where session.id = ?`,
  ).get(sessionId) as { own: string; signed: string };
  return readPlan(JSON.parse(own === AS_SIGNED ? signed : own));
}

/**
 * The events of a session as they are stored, as the text of one JSON list in any order. One row, whatever the length of the
 * log: rows are what a driver is slow at.
 */
export const readLogText = (prepare: Prepare, sessionId: string): string => {
  const { events } = prepare(
    `select ${joined('event')} as events from session_event where session_id = ?`,
  ).get(sessionId) as { events: string | null };
  return `[${events ?? ''}]`;
};

export const readLog = (prepare: Prepare, sessionId: string): Log =>
  mergeLogs(JSON.parse(readLogText(prepare, sessionId)) as SessionEvent[]);

/** Pain before a session, of 10, as the last check on the day before it says; null where there was none. */
export function readPainBefore(prepare: Prepare, { clientId, openedAtMs }: Opened): number | null {
  const check = prepare(
    'select answers from day_check where client_id = ? and at_ms <= ? and superseded <> 2 order by at_ms desc limit 1',
  ).get(clientId, openedAtMs) as { answers: string } | undefined;
  return check ? (JSON.parse(check.answers) as DayCheckAnswers).painNow : null;
}

/** The session of the same plan before one, whichever version it ran. */
export const readIdBefore = (
  prepare: Prepare,
  { clientId, openedAtMs, prescriptionId }: SessionHead,
): string | null =>
  (
    prepare(
      `select session.id from session join prescription on prescription.id = session.prescription_id
       where session.client_id = ? and opened_at_ms < ? and session.superseded <> 2
         and course_plan_id = (select course_plan_id from prescription where id = ?)
       order by opened_at_ms desc limit 1`,
    ).get(clientId, openedAtMs, prescriptionId) as { id: string } | undefined
  )?.id ?? null;

/** A session as its log folds now, with pain before it. */
export function readDone(prepare: Prepare, session: Opened & { id: string }) {
  const plan = readFrozenPlan(prepare, session.id);
  return {
    plan,
    state: fold(plan, readLog(prepare, session.id)),
    painBefore: readPainBefore(prepare, session),
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
  const { plan, state, painBefore } = readDone(prepare, session);
  const summary = summaryOf(plan, state, painBefore);
  const line = state.finishedAtMs === null ? null : sessionLine(plan, state);
  if (line) recount(prepare, session, line);
  changeRows(prepare, sessionRecord, { id: session.id }, { summary, logLine: line });
}

/** Summaries and lines of sessions that were kept before there were any. */
export function fillSummaries(prepare: Prepare): void {
  const old = prepare(
    `select ${HEAD} from session where summary = '{}' or (finished_at_ms is not null and log_line is null)`,
  ).all() as SessionHead[];
  for (const session of old) summarise(prepare, session);
}
