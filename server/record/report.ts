import { p } from '@mikro-orm/core';
import type { Report } from '#core/outcomes';
import { atMs, clientId, defineRecord, id } from './define';

export const reportRecord = defineRecord({
  name: 'Report',
  table: 'report',
  of: 'client',
  properties: {
    id: id(),
    clientId: clientId(),
    atMs: atMs(),
    content: p.json().$type<Report>(),
    practitionerId: p.string(),
  },
  at: ['atMs'],
  uses: { practitioner: ['practitionerId'] },
  archive: { kind: 'report' },
  indexes: ['report (client_id, at_ms)'],
});
