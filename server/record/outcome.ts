import { p } from '@mikro-orm/core';
import type { MeasureId } from '#core/outcomes';
import type { Limb } from '#core/quantity';
import { atMs, clientId, defineRecord, id, number } from './define';

export const outcomeRecord = defineRecord({
  name: 'Outcome',
  table: 'outcome',
  of: 'client',
  properties: {
    id: id(),
    clientId: clientId(),
    measureId: p.string().$type<MeasureId>(),
    limb: p.string().$type<Limb>().nullable(),
    setting: p.string(),
    atMs: atMs(),
    repeats: p.json().$type<number[]>(),
    value: number(),
    note: p.string(),
    practitionerId: p.string(),
    withdrawn: p.string().nullable(),
  },
  at: ['atMs'],
  uses: { practitioner: ['practitionerId'], measure: ['measureId'] },
  archive: { kind: 'outcome' },
  indexes: ['outcome (client_id, at_ms)', 'outcome (measure_id, at_ms) where withdrawn is null'],
});
