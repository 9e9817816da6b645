import { p } from '@mikro-orm/core';
import type { ComparisonOnRecord } from '#contract/outcomes';
import type { Comparison } from '#core/outcomes';
import type { ComparisonFact } from '#core/record';
import type { Prepare } from '../db/dialect/connection';
import { jsonAt } from '../db/dialect/sql';
import { atMs, clientId, defineRecord, id } from './define';
import { factsOf, findRows } from './read';

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

export const comparisonFacts = factsOf(comparisonRecord, {
  take: ['id', 'atMs', 'design'],
  parts: [{ when: 'ended_at_ms is null order by at_ms desc' }],
  of: (row): ComparisonFact => row,
});

export const readComparisons = (prepare: Prepare, clientId: string): ComparisonOnRecord[] =>
  findRows(prepare, comparisonRecord, { clientId }, ['id', 'atMs', 'design', 'endedWhy'], {
    order: 'at_ms desc',
  }).map(({ endedWhy, ...row }) => ({ ...row, ended: endedWhy }));
