import { p } from '@mikro-orm/core';
import type { Role } from '#core/access';
import type { DayCheckAnswers } from '#core/screening';
import { jsonAt, jsonObject } from '../db/dialect/sql';
import { atMs, clientId, defineRecord, id, superseded } from './define';

export const dayCheckRecord = defineRecord({
  name: 'DayCheck',
  table: 'day_check',
  of: 'client',
  properties: {
    id: id(),
    clientId: clientId(),
    atMs: atMs(),
    answers: p.json().$type<DayCheckAnswers>(),
    /** Null in older ones, and in those made at home. */
    by: p.string().$type<Role>().nullable(),
    superseded: superseded(),
  },
  at: ['atMs'],
  newestOf: ['clientId'],
  retract: { kind: 'day-check', content: jsonObject({ painNow: jsonAt('answers', 'painNow') }) },
  archive: { kind: 'day-check' },
  indexes: ['day_check (client_id, at_ms)', 'day_check (client_id) where superseded = 0'],
});
