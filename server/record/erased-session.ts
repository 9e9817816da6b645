import { p } from '@mikro-orm/core';
import { defineRecord } from './define';

/** Sessions of clients that were forgotten: their events may go. */
export const erasedSessionRecord = defineRecord({
  name: 'ErasedSession',
  table: 'erased_session',
  of: 'site',
  properties: {
    sessionId: p.string().primary(),
  },
});
