import { p } from '@mikro-orm/core';
import type { FitFact } from '#core/cuff';
import type { Limb } from '#core/quantity';
import { jsonObject } from '../db/dialect/sql';
import { atMs, clientId, defineRecord, id, number, superseded } from './define';
import { factsOf, NEWEST } from './read';

export const fitRecord = defineRecord({
  name: 'Girth',
  table: 'girth',
  of: 'client',
  properties: {
    id: id(),
    clientId: clientId(),
    atMs: atMs(),
    limb: p.string().$type<Limb>(),
    girthCm: number(),
    kind: p.string().$type<'cuff' | 'strap'>(),
    kitId: p.string(),
    label: p.string(),
    widthCm: number(),
    superseded: superseded(),
  },
  refers: { kitId: 'kit' },
  at: ['atMs'],
  newestOf: ['clientId', 'limb'],
  retract: { kind: 'fit', content: jsonObject({ limb: 'limb', girthCm: 'girth_cm', label: 'label' }) },
  uses: { kit: ['kitId'] },
  archive: { kind: 'fit' },
  checks: ['girth_cm > 0', "kind in ('cuff', 'strap')"],
  indexes: ['girth (client_id, at_ms)', 'girth (client_id, limb) where superseded = 0'],
});

export const fitFacts = factsOf(fitRecord, {
  take: ['limb', 'atMs', 'girthCm', 'kind', 'kitId', 'label', 'widthCm'],
  parts: [NEWEST],
  of: ({ kind, kitId, ...fit }): FitFact => ({
    ...fit,
    ...(kind === 'cuff' ? { kind, cuffId: kitId } : { kind, strapId: kitId }),
  }),
});
