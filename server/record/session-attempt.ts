import { p } from '@mikro-orm/core';
import type { NewSessionAttempt } from '#contract/practice-attempt';
import { atMs, defineRecord, id } from './define';

export const sessionAttemptRecord = defineRecord({
  name: 'SessionAttempt',
  table: 'session_attempt',
  of: 'practice',
  properties: {
    id: id(),
    practitionerId: p.string().index(),
    atMs: atMs(),
    seed: p.bigint('number'),
    points: p.integer(),
    answer: p.json().$type<NewSessionAttempt>(),
  },
  refers: { practitionerId: 'person' },
  at: ['atMs'],
  archive: { kind: 'session-attempt' },
  indexes: ['session_attempt (practitioner_id, at_ms)'],
});
