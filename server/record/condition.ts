import { p } from '@mikro-orm/core';
import type { Condition, ConditionDetail } from '#core/screening';
import type { Prepare } from '../db/dialect/connection';
import { atMs, clientId, defineRecord, id } from './define';
import { factsOf } from './read';

export const conditionRecord = defineRecord({
  name: 'Condition',
  table: 'condition',
  of: 'client',
  properties: {
    id: id(),
    clientId: clientId(),
    cause: p.string(),
    atMs: atMs(),
    detail: p.json().$type<ConditionDetail>(),
    endsAtMs: p.bigint('number').nullable(),
    endedAtMs: p.bigint('number').nullable(),
    endedBy: p.string().nullable(),
    endReason: p.text().nullable(),
  },
  refers: { endedBy: 'person' },
  at: ['atMs'],
  uses: { practitioner: ['endedBy'] },
  archive: { kind: 'condition' },
  unique: ['client_id, cause'],
  indexes: ['condition (client_id) where ended_at_ms is null'],
});

export const conditionFacts = factsOf(conditionRecord, {
  take: ['id', 'cause', 'atMs', 'detail', 'endsAtMs', 'endedAtMs', 'endedBy', 'endReason'],
  parts: [{ when: 'ended_at_ms is null' }],
  of: ({ endedAtMs, endedBy, endReason, ...condition }): Condition => ({
    ...condition,
    ended: endedAtMs === null ? null : { atMs: endedAtMs, by: endedBy ?? '', reason: endReason ?? '' },
  }),
});

/** Conditions whose cause begins with a text. */
export const idsCausedBy = (prepare: Prepare, clientId: string, prefix: string): string[] =>
  (
    prepare('select id from condition where client_id = ? and substr(cause, 1, ?) = ?').all(
      clientId,
      prefix.length,
      prefix,
    ) as { id: string }[]
  ).map(({ id }) => id);
