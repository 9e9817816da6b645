import { p } from '@mikro-orm/core';
import type { Role } from '#core/access';
import { SESSIONS_COUNT_MS } from '#core/record';
import { DAY_CHECK_HOLDS_MS, type DayCheck, type DayCheckAnswers } from '#core/screening';
import type { Prepare } from '../db/dialect/connection';
import { jsonAt, jsonObject } from '../db/dialect/sql';
import { atMs, clientId, defineRecord, id, superseded } from './define';
import { AS_RECEIVED, factsOf, NEWEST } from './read';
import type { SessionHead } from './session';

export const dayCheckRecord = defineRecord({
  name: 'DayCheck',
  table: 'day_check',
  of: 'client',
  properties: {
    id: id(),
    clientId: clientId(),
    atMs: atMs(),
    answers: p.json().$type<DayCheckAnswers>(),
    /** Null in older ones, and in those made at home. */
    by: p.string().$type<Role>().nullable(),
    superseded: superseded(),
  },
  at: ['atMs'],
  newestOf: ['clientId'],
  retract: { kind: 'day-check', content: jsonObject({ painNow: jsonAt('answers', 'painNow') }) },
  archive: { kind: 'day-check' },
  indexes: ['day_check (client_id, at_ms)', 'day_check (client_id) where superseded = 0'],
});

export const dayCheckFacts = factsOf(dayCheckRecord, {
  take: ['atMs', 'answers', 'by'],
  parts: [
    // Of several on one day the worst answer counts; swelling that rose takes a limb down its ladder, whatever was said later.
    {
      when: `superseded = 1 and at_ms > ? and (at_ms > ? or answers like '%"swelling"%') ${AS_RECEIVED}`,
      times: (nowMs) => [nowMs - SESSIONS_COUNT_MS, nowMs - DAY_CHECK_HOLDS_MS],
    },
    NEWEST,
  ],
  of: ({ atMs, answers, by }): DayCheck => ({ atMs, ...answers, ...(by ? { by } : {}) }),
});

/** Whose a session is, and when it was opened. */
export type Opened = Pick<SessionHead, 'clientId' | 'openedAtMs'>;

/** The last check of the day before a session; null where there was none. */
export function readCheckBefore(prepare: Prepare, { clientId, openedAtMs }: Opened): DayCheckAnswers | null {
  const check = prepare(
    'select answers from day_check where client_id = ? and at_ms <= ? and superseded <> 2 order by at_ms desc limit 1',
  ).get(clientId, openedAtMs) as { answers: string } | undefined;
  return check ? (JSON.parse(check.answers) as DayCheckAnswers) : null;
}
