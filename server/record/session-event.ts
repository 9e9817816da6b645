import { p } from '@mikro-orm/core';
import { type Log, mergeLogs, type SessionEvent, type SessionEventType } from '#core/session';
import type { Prepare } from '../db/dialect/connection';
import { AS_WRITTEN, joined } from '../db/dialect/sql';
import { atMs, defineRecord, id } from './define';

export const sessionEventRecord = defineRecord({
  name: 'SessionEvent',
  table: 'session_event',
  of: { through: 'sessionId', table: 'session' },
  properties: {
    id: id(),
    sessionId: p.string().index(),
    deviceId: p.string(),
    seq: p.integer(),
    atMs: atMs(),
    type: p.string().$type<SessionEventType>(),
    event: p.json().$type<SessionEvent>(),
    receivedAtMs: atMs(),
    practitionerId: p.string(),
  },
  refers: { sessionId: 'session', practitionerId: 'person' },
  uses: { practitioner: ['practitionerId'] },
  archive: {
    kind: 'event',
    order: AS_WRITTEN,
    follows: ({ event }) => {
      const { id, sessionId, deviceId, seq, atMs, type } = event as SessionEvent;
      return { id, sessionId, deviceId, seq, atMs, type };
    },
  },
  unique: ['session_id, device_id, seq'],
});

/** Appends an event to its log: the path of every pump reading, so one statement that is written once. */
export function appendEvent(
  prepare: Prepare,
  event: SessionEvent,
  { receivedAtMs, practitionerId }: { receivedAtMs: number; practitionerId: string },
): void {
  const { id, sessionId, deviceId, seq, atMs, type } = event;
  prepare(
    `insert into session_event
       (id, session_id, device_id, seq, at_ms, type, event, received_at_ms, practitioner_id)
     values (?, ?, ?, ?, ?, ?, ?, ?, ?)`,
  ).run(id, sessionId, deviceId, seq, atMs, type, JSON.stringify(event), receivedAtMs, practitionerId);
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

export const knownOf = (prepare: Prepare, events: readonly SessionEvent[]): SessionEvent[] =>
  events.flatMap(({ id }) => {
    const row = prepare('select event from session_event where id = ?').get(id) as
      | { event: string }
      | undefined;
    return row ? [JSON.parse(row.event) as SessionEvent] : [];
  });
