import { p } from '@mikro-orm/core';
import { atMs, clientId, defineRecord, id } from './define';

export const adverseEventRecord = defineRecord({
  name: 'AdverseEvent',
  table: 'adverse_event',
  of: 'client',
  properties: {
    id: id(),
    clientId: clientId(),
    sessionId: p.string().nullable(),
    atMs: atMs(),
    what: p.string(),
    done: p.string(),
    outcome: p.string(),
    notified: p.string(),
    practitionerId: p.string(),
    writtenAtMs: atMs(),
  },
  refers: { sessionId: 'session' },
  at: ['atMs'],
  uses: { practitioner: ['practitionerId'] },
  archive: { kind: 'adverse-event', ofTheSame: { property: 'sessionId', table: 'session' } },
  indexes: ['adverse_event (client_id, at_ms)'],
});
