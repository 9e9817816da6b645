import { p } from '@mikro-orm/core';
import type { SessionEvent, SessionEventType } from '#core/session';
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
    order: 'rowid',
    follows: ({ event }) => {
      const { id, sessionId, deviceId, seq, atMs, type } = event as SessionEvent;
      return { id, sessionId, deviceId, seq, atMs, type };
    },
  },
});
