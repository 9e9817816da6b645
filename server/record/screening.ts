import { p } from '@mikro-orm/core';
import type { Role } from '#core/access';
import type { BloodPressure, ItemId, ItemPlace, Procedure } from '#core/screening';
import { asJson, jsonObject } from '../db/dialect/sql';
import { atMs, clientId, defineRecord, id, superseded } from './define';

export const screeningRecord = defineRecord({
  name: 'Screening',
  table: 'screening',
  of: 'client',
  properties: {
    id: id(),
    clientId: clientId(),
    atMs: atMs(),
    version: p.integer(),
    yes: p.json().$type<ItemId[]>(),
    bloodPressures: p.json().$type<BloodPressure[]>(),
    note: p.text(),
    procedures: p.json().$type<Procedure[]>(),
    places: p.json().$type<ItemPlace[]>(),
    medicines: p.json().$type<string[]>(),
    /** Null but for a person under 18 whose birthday was said. */
    adultFromMs: p.bigint('number').nullable(),
    /** Null in screenings of the first releases, which did not keep it. */
    by: p.string().$type<Role>().nullable(),
    superseded: superseded(),
  },
  at: ['atMs'],
  newestOf: ['clientId'],
  retract: { kind: 'screening', content: jsonObject({ yes: asJson('yes') }) },
  archive: { kind: 'screening' },
  indexes: ['screening (client_id, at_ms)', 'screening (client_id) where superseded = 0'],
});
