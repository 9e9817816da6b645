import { p } from '@mikro-orm/core';
import type { AdverseEvent } from '#contract/outcomes';
import type { Prepare } from '../db/dialect/connection';
import { atMs, clientId, defineRecord, id } from './define';
import { findRows } from './read';

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

export const readAdverseEvents = (prepare: Prepare, clientId: string): AdverseEvent[] =>
  findRows(
    prepare,
    adverseEventRecord,
    { clientId },
    ['id', 'sessionId', 'atMs', 'what', 'done', 'outcome', 'notified', 'practitionerId', 'writtenAtMs'],
    { order: 'at_ms desc' },
  );

/** How many adverse events are on record, and were of people who are forgotten. */
export const countAdverseEvents = (prepare: Prepare): number =>
  (
    prepare(
      'select (select count(*) from adverse_event) + (select total(adverse_events) from erased) as n',
    ).get() as { n: number }
  ).n;
