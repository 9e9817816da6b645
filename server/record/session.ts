import { p } from '@mikro-orm/core';
import type { SessionLine } from '#core/outcomes';
import type { SessionSummary } from '#core/review';
import { AS_WRITTEN, jsonAt, jsonObject } from '../db/dialect/sql';
import { atMs, clientId, defineRecord, id, superseded } from './define';

/** A session in which nothing has happened yet. */
export const NOTHING_DONE: SessionSummary = {
  worked: [],
  tolerated: true,
  stepsDown: [],
  reviewed: true,
  answered: [],
  followUp: null,
  given: [],
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
    follows: () => ({ summary: JSON.stringify(NOTHING_DONE) }),
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
