import { p } from '@mikro-orm/core';
import type { Consent, ConsentGiven } from '#core/screening';
import { jsonObject } from '../db/dialect/sql';
import { atMs, clientId, defineRecord, id, superseded } from './define';
import { factsOf, NEWEST } from './read';

export const consentRecord = defineRecord({
  name: 'Consent',
  table: 'consent',
  of: 'client',
  properties: {
    id: id(),
    clientId: clientId(),
    atMs: atMs(),
    version: p.integer(),
    decision: p.string().$type<ConsentGiven['decision']>(),
    read: p.string().$type<ConsentGiven['read']>(),
    guardian: p.string().nullable(),
    superseded: superseded(),
  },
  at: ['atMs'],
  newestOf: ['clientId'],
  retract: { kind: 'consent', content: jsonObject({ decision: 'decision', read: '"read"' }) },
  archive: { kind: 'consent' },
  indexes: ['consent (client_id, at_ms)', 'consent (client_id) where superseded = 0'],
});

export const consentFacts = factsOf(consentRecord, {
  take: ['atMs', 'version', 'decision', 'read', 'guardian'],
  parts: [NEWEST],
  of: (consent): Consent => consent,
});
