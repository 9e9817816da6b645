import { p } from '@mikro-orm/core';
import type { Comparison } from '#core/outcomes';
import { jsonAt } from '../db/dialect/sql';
import { atMs, clientId, defineRecord, id } from './define';

export const comparisonRecord = defineRecord({
  name: 'Comparison',
  table: 'comparison',
  of: 'client',
  properties: {
    id: id(),
    clientId: clientId(),
    atMs: atMs(),
    design: p.json().$type<Comparison>(),
    practitionerId: p.string(),
    endedAtMs: p.bigint('number').nullable(),
    endedWhy: p.string().nullable(),
  },
  at: ['atMs'],
  uses: { practitioner: ['practitionerId'], measure: [jsonAt('design', 'measureId')] },
  archive: { kind: 'comparison' },
  indexes: ['comparison (client_id, at_ms)'],
});
