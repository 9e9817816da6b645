import { p } from '@mikro-orm/core';
import type { RetractableKind } from '#contract/corrections';
import { atMs, clientId, defineRecord, id } from './define';

/** That an entry of a record was retracted, and why. */
export const retractionRecord = defineRecord({
  name: 'Retraction',
  table: 'retraction',
  of: 'client',
  properties: {
    id: id(),
    clientId: clientId(),
    kind: p.string().$type<RetractableKind>(),
    rowId: p.string(),
    atMs: atMs(),
    practitionerId: p.string(),
    reason: p.string(),
  },
  refers: { practitionerId: 'person' },
  at: ['atMs'],
  uses: { practitioner: ['practitionerId'] },
  archive: { kind: 'retraction' },
  unique: ['kind, row_id'],
  indexes: ['retraction (client_id, at_ms)'],
});
