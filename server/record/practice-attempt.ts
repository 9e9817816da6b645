import { p } from '@mikro-orm/core';
import type { NewPracticeAttempt } from '#contract/practice-attempt';
import { atMs, defineRecord, id, number } from './define';

export const practiceAttemptRecord = defineRecord({
  name: 'PracticeAttempt',
  table: 'practice_attempt',
  of: 'practice',
  properties: {
    id: id(),
    practitionerId: p.string().index(),
    atMs: atMs(),
    seed: p.bigint('number'),
    errorMmHg: number(),
    points: p.integer(),
    answer: p.json().$type<NewPracticeAttempt>(),
  },
  refers: { practitionerId: 'person' },
  at: ['atMs'],
  archive: { kind: 'practice-attempt' },
  indexes: ['practice_attempt (practitioner_id)', 'practice_attempt (seed)'],
});
