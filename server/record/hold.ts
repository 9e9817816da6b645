import { p } from '@mikro-orm/core';
import type { Text } from '#core/message';
import type { Limb } from '#core/quantity';
import { type Hold, type HoldEnd, SESSIONS_COUNT_MS } from '#core/record';
import type { RuleId } from '#core/rules';
import type { FoundSubject } from '#core/screening';
import { jsonAt } from '../db/dialect/sql';
import { atMs, clientId, defineRecord, id } from './define';
import { factsOf } from './read';

export const holdRecord = defineRecord({
  name: 'Hold',
  table: 'hold',
  of: 'client',
  properties: {
    id: id(),
    clientId: clientId(),
    cause: p.string(),
    words: p.json().$type<Text>(),
    rule: p.string().$type<RuleId>(),
    atMs: atMs(),
    limb: p.string().$type<Limb>().nullable(),
    subject: p.string().$type<FoundSubject>().nullable(),
    ends: p.json().$type<HoldEnd>(),
    liftedAtMs: p.bigint('number').nullable(),
    liftedBy: p.string().nullable(),
    liftReason: p.json().$type<Text>().nullable(),
    isEmergency: p.boolean().default(false),
  },
  refers: { liftedBy: 'person' },
  at: ['atMs'],
  uses: { practitioner: ['liftedBy'] },
  archive: {
    kind: 'hold',
    // That records came from a file is for the site they came to.
    only: "rule <> 'START-3'",
  },
  computed: {
    ends_at_ms: jsonAt('ends', 'atMs'),
    ends_session_id: jsonAt('ends', 'sessionId'),
  },
  unique: ['client_id, cause'],
  indexes: ['hold (client_id, ends_at_ms) where lifted_at_ms is null'],
});

export const holdFacts = factsOf(holdRecord, {
  take: [
    'id',
    'cause',
    'words',
    'rule',
    'atMs',
    'limb',
    'subject',
    'ends',
    'liftedAtMs',
    'liftedBy',
    'liftReason',
    'isEmergency',
  ],
  // What has ended by its time, or by the review of a session that no longer counts, is left out.
  parts: [
    { when: 'lifted_at_ms is null and ends_at_ms > ?', times: (nowMs) => [nowMs] },
    {
      when: `lifted_at_ms is null and ends_at_ms is null and not exists (
        select 1 from session where session.id = ends_session_id and reviewed = 1 and opened_at_ms < ?)`,
      times: (nowMs) => [nowMs - SESSIONS_COUNT_MS],
    },
  ],
  of: ({ liftedAtMs, liftedBy, liftReason, ...hold }): Hold => ({
    ...hold,
    lifted: liftedAtMs === null ? null : { atMs: liftedAtMs, by: liftedBy ?? '', reason: liftReason ?? '' },
  }),
});
