import { p } from '@mikro-orm/core';
import type { Clearance } from '#core/screening';
import { jsonAt, jsonObject } from '../db/dialect/sql';
import { atMs, clientId, defineRecord, id, retracted } from './define';

export const clearanceRecord = defineRecord({
  name: 'Clearance',
  table: 'clearance',
  of: 'client',
  properties: {
    id: id(),
    clientId: clientId(),
    atMs: atMs(),
    clearance: p.json().$type<Clearance>(),
    retracted: retracted(),
  },
  at: ['atMs'],
  retract: {
    kind: 'clearance',
    content: jsonObject({
      subjects: jsonAt('clearance', 'subjects'),
      givenBy: jsonAt('clearance', 'givenBy'),
    }),
  },
  archive: { kind: 'clearance' },
  computed: { until_ms: jsonAt('clearance', 'untilMs') },
  indexes: ['clearance (client_id)', 'clearance (client_id, until_ms)'],
});
