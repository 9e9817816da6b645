import { p } from '@mikro-orm/core';
import type { PastSession } from '#contract/history';
import { PAGE_OF_HISTORY } from '#contract/pages';
import type { SessionLine } from '#core/outcomes';
import { type Plan, readPlan } from '#core/plan';
import { SESSIONS_COUNT_MS, type SessionFact } from '#core/record';
import type { SessionSummary } from '#core/review';
import { freeLane } from '#core/session';
import type { Prepare } from '../db/dialect/connection';
import { AS_WRITTEN, jsonAt, jsonObject } from '../db/dialect/sql';
import { atMs, clientId, defineRecord, id, superseded } from './define';
import type { Before } from './history';
import { AS_RECEIVED, factsOf, NEWEST } from './read';

/** A session in which nothing has happened yet. */
export const NOTHING_DONE: SessionSummary = {
  worked: [],
  tolerated: true,
  stepsDown: [],
  reviewed: true,
  answered: [],
  followUp: null,
  given: [],
  exercises: [],
  painBefore: null,
};

export const sessionRecord = defineRecord({
  name: 'Session',
  table: 'session',
  of: 'client',
  properties: {
    id: id(),
    clientId: clientId(),
    prescriptionId: p.string(),
    openedAtMs: atMs(),
    /** Copied from the log's `session-finished` to find open sessions; the log is the truth. */
    finishedAtMs: p.bigint('number').nullable(),
    /** Frozen when it was opened, in the shape of its version: read it by `readPlan`. */
    plan: p.json().$type<unknown>(),
    /** What later sessions ask of it, made again whenever its log grows in what they ask; the log is the truth. */
    summary: p.json().$type<SessionSummary>(),
    /** It in one line of the person's log once it is finished, made again with its summary; read as text only. */
    logLine: p.json().$type<SessionLine>().nullable().lazy(),
    /** Its place on the floor from 1 while it runs; null for one that was entered later, and in earlier releases. */
    lane: p.integer().$type<number>().nullable(),
    superseded: superseded(),
  },
  refers: { prescriptionId: 'prescription' },
  at: ['openedAtMs', 'finishedAtMs'],
  newestOf: ['clientId'],
  retract: {
    kind: 'session',
    content: jsonObject({
      plan: `(select course_plan.name from prescription join course_plan on course_plan.id = course_plan_id
        where prescription.id = prescription_id)`,
      state: "case when finished_at_ms is null then 'running' else 'finished' end",
    }),
  },
  archive: {
    kind: 'session',
    order: `opened_at_ms, ${AS_WRITTEN}`,
    follows: () => ({ summary: JSON.stringify(NOTHING_DONE), lane: null }),
    ofTheSame: { property: 'prescriptionId', table: 'prescription' },
  },
  computed: { reviewed: jsonAt('summary', 'reviewed') },
  indexes: [
    'session (client_id, opened_at_ms)',
    'session (client_id) where superseded = 0',
    'session (client_id, opened_at_ms) where finished_at_ms is null',
    'session (client_id) where finished_at_ms is not null',
    'session (opened_at_ms) where superseded = 0',
    'session (client_id, opened_at_ms) where finished_at_ms is not null',
  ],
});

export const sessionFacts = factsOf(sessionRecord, {
  take: ['id', 'prescriptionId', 'openedAtMs', 'finishedAtMs', 'summary'],
  also: {
    coursePlanId: '(select course_plan_id from prescription where prescription.id = prescription_id)',
  },
  parts: [
    {
      when: `superseded = 1 and opened_at_ms >= ? ${AS_RECEIVED}`,
      times: (nowMs) => [nowMs - SESSIONS_COUNT_MS],
    },
    NEWEST,
  ],
  of: ({ id, prescriptionId, coursePlanId, openedAtMs, finishedAtMs, summary }): SessionFact => ({
    id,
    prescriptionId,
    coursePlanId,
    startedAtMs: openedAtMs,
    finishedAtMs,
    // Sessions of earlier releases say neither what their answers change, nor what they gave, nor for which limbs they were too much,
    // nor what they were opened at.
    ...{ answered: [], given: [], stepsDown: [], exercises: [], painBefore: null },
    ...summary,
  }),
});

/** Finished sessions of a client, the newest first. */
export const readSessions = (prepare: Prepare, clientId: string, { beforeMs }: Before): PastSession[] =>
  prepare(
    `select id, opened_at_ms as "startedAtMs" from session
     where client_id = ? and opened_at_ms < ? and finished_at_ms is not null and superseded <> 2
     order by opened_at_ms desc limit ${PAGE_OF_HISTORY}`,
  ).all(clientId, beforeMs) as PastSession[];

export const countFinished = (prepare: Prepare, clientId: string): number =>
  (
    prepare(
      'select count(*) as finished from session where client_id = ? and finished_at_ms is not null and superseded <> 2',
    ).get(clientId) as { finished: number }
  ).finished;

/**
 * Every finished session of a person as the text of one answer, the newest first: lines are handed on as they are stored,
 * nothing of them is parsed on the way.
 */
export function readLinesText(prepare: Prepare, clientId: string): string {
  const rows = prepare(
    `select session.id, opened_at_ms as "startedAtMs", course_plan_id as "coursePlanId", log_line as "line" from session
     join prescription on prescription.id = session.prescription_id
     where session.client_id = ? and finished_at_ms is not null and log_line is not null and session.superseded <> 2
     order by opened_at_ms desc`,
  ).all(clientId) as { id: string; startedAtMs: number; coursePlanId: string; line: string }[];
  const sessions = rows.map(({ line, ...head }) => `{${JSON.stringify(head).slice(1, -1)},"line":${line}}`);
  return `{"sessions":[${sessions.join(',')}]}`;
}

/** A session without its plan and log, which few ask for. */
export type SessionHead = {
  id: string;
  clientId: string;
  prescriptionId: string;
  openedAtMs: number;
  finishedAtMs: number | null;
  lane: number | null;
  /** 1 where the whole session was retracted. */
  isRetracted: number;
};

const HEAD = `id, client_id as "clientId", prescription_id as "prescriptionId", opened_at_ms as "openedAtMs",
  finished_at_ms as "finishedAtMs", lane, superseded = 2 as "isRetracted"`;

export const readHead = (prepare: Prepare, id: string): SessionHead | undefined =>
  prepare(`select ${HEAD} from session where id = ?`).get(id) as SessionHead | undefined;

/** Sessions that are not finished, in the order they were opened. */
export const readOpenHeads = (prepare: Prepare): SessionHead[] =>
  prepare(
    `select ${HEAD} from session where finished_at_ms is null order by opened_at_ms`,
  ).all() as SessionHead[];

/** The lane of the next session that begins. */
export const nextLane = (prepare: Prepare): number =>
  freeLane(new Set(readOpenHeads(prepare).map(({ lane }) => lane)));

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

/** Whether a session of a client ran at some time within these. @param nowMs until when one that is not finished has run */
export const wasRunning = (
  prepare: Prepare,
  clientId: string,
  { fromMs, untilMs }: { fromMs: number; untilMs: number },
  nowMs: number,
): boolean =>
  prepare(
    `select 1 from session where client_id = ? and superseded <> 2 and opened_at_ms < ? and coalesce(finished_at_ms, ?) > ?`,
  ).get(clientId, untilMs, nowMs, fromMs) !== undefined;

/** Whether a session that was opened after a moment is not finished. */
export const isAnyRunning = (prepare: Prepare, openedAfterMs: number): boolean =>
  prepare('select 1 from session where finished_at_ms is null and opened_at_ms > ?').get(openedAfterMs) !==
  undefined;

/** Sessions that were kept before there were summaries and lines. */
export const readUnsummarised = (prepare: Prepare): SessionHead[] =>
  prepare(
    `select ${HEAD} from session where summary = '{}' or (finished_at_ms is not null and log_line is null)`,
  ).all() as SessionHead[];
