import type { HistoryPoint, PastSession } from '#contract/history';
import { PAGE_OF_HISTORY as PAGE } from '#contract/pages';
import type { Clearance, Screening } from '#core/screening';
import type { Prepare } from './dialect/connection';
import { type Row, SCREENING, screeningOf } from './read-facts';

/** Points of a chart: more cannot be distinguished on it. */
const MOST_POINTS = 200;

/** What is older than `beforeMs`. */
export type Before = { beforeMs: number };

export const readScreenings = (prepare: Prepare, clientId: string, { beforeMs }: Before): Screening[] =>
  (
    prepare(
      `${SCREENING} where client_id = ? and at_ms < ? and superseded <> 2 order by at_ms desc limit ${PAGE}`,
    ).all(clientId, beforeMs) as Row[]
  ).map(screeningOf);

export const readClearances = (prepare: Prepare, clientId: string, { beforeMs }: Before): Clearance[] =>
  (
    prepare(
      `select clearance from clearance where client_id = ? and until_ms < ? and retracted = 0 order by until_ms desc limit ${PAGE}`,
    ).all(clientId, beforeMs) as { clearance: string }[]
  ).map(({ clearance }) => JSON.parse(clearance));

export const readSessions = (prepare: Prepare, clientId: string, { beforeMs }: Before): PastSession[] =>
  prepare(
    `select id, opened_at_ms as "startedAtMs" from session
     where client_id = ? and opened_at_ms < ? and finished_at_ms is not null and superseded <> 2
     order by opened_at_ms desc limit ${PAGE}`,
  ).all(clientId, beforeMs) as PastSession[];

/** Pressures of one limb, position and cuff, in mmHg, newest first. */
export const readPressures = (
  prepare: Prepare,
  clientId: string,
  { limb, position, cuffId }: { limb: string; position: string; cuffId: string },
): HistoryPoint[] =>
  prepare(
    `select at_ms as "atMs", pressure_mm_hg as "value" from lop
     where client_id = ? and limb = ? and position = ? and cuff_id = ? and superseded <> 2 order by at_ms desc limit ${MOST_POINTS}`,
  ).all(clientId, limb, position, cuffId) as HistoryPoint[];

/** 1RMs of one exercise and side, in kg, newest first. */
export const readOneRepMaxes = (
  prepare: Prepare,
  clientId: string,
  { exerciseId, side }: { exerciseId: string; side: string },
): HistoryPoint[] =>
  prepare(
    `select at_ms as "atMs", one_rep_max_kg as "value" from strength_test
     where client_id = ? and exercise_id = ? and side = ? and superseded <> 2 order by at_ms desc limit ${MOST_POINTS}`,
  ).all(clientId, exerciseId, side) as HistoryPoint[];
