import { p } from '@mikro-orm/core';
import { PAGE_OF_HISTORY } from '#contract/pages';
import type { Role } from '#core/access';
import { MS_PER_DAY } from '#core/quantity';
import { RULES } from '#core/rules';
import type { BloodPressure, ItemId, ItemPlace, Procedure, Screening } from '#core/screening';
import type { Prepare } from '../db/dialect/connection';
import { asJson, jsonObject } from '../db/dialect/sql';
import { atMs, clientId, defineRecord, id, superseded } from './define';
import type { Before } from './history';
import { AS_RECEIVED, factsOf, NEWEST, read } from './read';

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

export const screeningFacts = factsOf(screeningRecord, {
  take: [
    'atMs',
    'version',
    'yes',
    'bloodPressures',
    'note',
    'procedures',
    'places',
    'medicines',
    'adultFromMs',
    'by',
  ],
  parts: [
    // Those whose resting blood pressure still counts.
    {
      when: `superseded = 1 and at_ms >= ? ${AS_RECEIVED}`,
      times: (nowMs) => [nowMs - RULES['SCR-1'].figures.shelfLifeDays * MS_PER_DAY],
    },
    NEWEST,
  ],
  of: ({ by, ...screening }): Screening => ({ ...screening, ...(by ? { by } : {}) }),
});

/** Screenings of a client, the newest first. */
export const readScreenings = (prepare: Prepare, clientId: string, { beforeMs }: Before): Screening[] =>
  read(
    screeningFacts,
    prepare(
      `${screeningFacts.select} where client_id = ? and at_ms < ? and superseded <> 2 order by at_ms desc limit ${PAGE_OF_HISTORY}`,
    ),
    clientId,
    beforeMs,
  );
