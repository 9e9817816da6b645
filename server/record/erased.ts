import { p } from '@mikro-orm/core';
import { atMs, defineRecord } from './define';

/** That a client was forgotten, and how many adverse events they had. */
export const erasedRecord = defineRecord({
  name: 'Erased',
  table: 'erased',
  of: 'site',
  properties: {
    clientId: p.string().primary(),
    atMs: atMs(),
    adverseEvents: p.integer().default(0),
  },
});
