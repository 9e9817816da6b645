import { p } from '@mikro-orm/core';
import type { BlockWish, Scheduled } from '#core/course';
import { atMs, clientId, defineRecord, id, superseded } from './define';

export const blockRecord = defineRecord({
  name: 'Block',
  table: 'block',
  of: 'client',
  properties: {
    id: id(),
    clientId: clientId(),
    atMs: atMs(),
    keptBy: p.string(),
    /** In the shape of the release that kept it: read it by `readBlock`. */
    wish: p.json().$type<BlockWish>(),
    sessions: p.json().$type<Scheduled[]>(),
    overrideReason: p.text().nullable(),
    superseded: superseded(),
  },
  refers: { keptBy: 'person' },
  at: ['atMs'],
  newestOf: ['clientId'],
  uses: { practitioner: ['keptBy'] },
  archive: { kind: 'block' },
  indexes: ['block (client_id, at_ms)', 'block (client_id) where superseded = 0'],
});
