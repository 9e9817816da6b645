import { p } from '@mikro-orm/core';
import { PAGE_OF_HISTORY } from '#contract/pages';
import type { Clearance } from '#core/screening';
import type { Prepare } from '../db/dialect/connection';
import { jsonAt, jsonObject } from '../db/dialect/sql';
import { atMs, clientId, defineRecord, id, retracted } from './define';
import type { Before } from './history';
import { factsOf, read } from './read';

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

export const clearanceFacts = factsOf(clearanceRecord, {
  take: ['clearance'],
  parts: [
    { when: 'retracted = 0 and until_ms is null' },
    { when: 'retracted = 0 and until_ms >= ?', times: (nowMs) => [nowMs] },
  ],
  of: ({ clearance }) => clearance,
});

/** Clearances of a client that have ended, the last first. */
export const readClearances = (prepare: Prepare, clientId: string, { beforeMs }: Before): Clearance[] =>
  read(
    clearanceFacts,
    prepare(
      `${clearanceFacts.select} where client_id = ? and until_ms < ? and retracted = 0 order by until_ms desc limit ${PAGE_OF_HISTORY}`,
    ),
    clientId,
    beforeMs,
  );
