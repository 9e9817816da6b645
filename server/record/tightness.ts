import { p } from '@mikro-orm/core';
import type { TightnessFact } from '#core/cuff';
import type { Strap } from '#core/kit';
import type { Limb } from '#core/quantity';
import { jsonObject } from '../db/dialect/sql';
import { atMs, clientId, defineRecord, id, number, superseded } from './define';
import { factsOf, NEWEST } from './read';

export const tightnessRecord = defineRecord({
  name: 'Tightness',
  table: 'tightness',
  of: 'client',
  properties: {
    id: id(),
    clientId: clientId(),
    atMs: atMs(),
    limb: p.string().$type<Limb>(),
    strapId: p.string(),
    strapLabel: p.string(),
    mark: number(),
    /** What the mark counts. */
    counts: p.string().$type<Strap['counts']>(),
    /** How far a wrap was stretched, in words. */
    tension: p.string().nullable(),
    felt: p.integer(),
    superseded: superseded(),
  },
  refers: { strapId: 'kit' },
  at: ['atMs'],
  newestOf: ['clientId', 'limb', 'strapId'],
  retract: {
    kind: 'tightness',
    content: jsonObject({
      limb: 'limb',
      label: 'strap_label',
      mark: 'mark',
      counts: 'counts',
      tension: 'tension',
      felt: 'felt',
    }),
  },
  uses: { kit: ['strapId'] },
  archive: { kind: 'tightness' },
  checks: ['felt between 0 and 10'],
  indexes: ['tightness (client_id, at_ms)', 'tightness (client_id, limb, strap_id) where superseded = 0'],
});

export const tightnessFacts = factsOf(tightnessRecord, {
  take: ['limb', 'atMs', 'strapId', 'strapLabel', 'mark', 'counts', 'tension', 'felt'],
  parts: [NEWEST],
  of: ({ counts, tension, ...tightness }): TightnessFact => ({
    ...tightness,
    ...(counts === 'marks' ? {} : { counts }),
    ...(tension === null ? {} : { tension }),
  }),
});
