import { p } from '@mikro-orm/core';
import { type About, NOTHING_KNOWN } from '#contract/client';
import { PAGE_OF_PEOPLE } from '#contract/pages';
import type { LimbShelfLife, ShelfLife } from '#core/occlusion-pressure';
import type { Prepare } from '../db/dialect/connection';
import { AS_WRITTEN, matchWords, WHATEVER_CAPITALS } from '../db/dialect/sql';
import { atMs, defineRecord, id } from './define';

export const clientRecord = defineRecord({
  name: 'Client',
  table: 'client',
  of: 'practice',
  properties: {
    id: id(),
    name: p.string(),
    story: p.text(),
    about: p.json().$type<About>(),
    shelfLife: p.string().$type<ShelfLife>(),
    limbShelfLives: p.json().$type<LimbShelfLife[]>(),
    addedAtMs: atMs(),
    /** When they were taken off the list of people; null for who is on it. */
    archivedAtMs: p.bigint('number').nullable(),
    /** The record that this one was merged into; null for one of its own. */
    mergedInto: p.string().nullable(),
  },
  refers: { mergedInto: 'client' },
  archive: {
    kind: 'client',
    order: AS_WRITTEN,
    ofClient: 'id = ?1',
    // What was on record twice goes as the one it was merged into.
    only: 'merged_into is null',
  },
  indexes: [
    'client (name, id) where archived_at_ms is null and merged_into is null',
    'client (name, id) where archived_at_ms is not null',
    'client (merged_into) where merged_into is not null',
    'client (added_at_ms)',
  ],
});

/** Clients of a name, whatever its capitals, who were added first; no more than anyone looks through. */
export const readNamed = (
  prepare: Prepare,
  name: string,
): { clientId: string; name: string; addedAtMs: number }[] =>
  prepare(
    `select id as "clientId", name, added_at_ms as "addedAtMs" from client
     where name = ? ${WHATEVER_CAPITALS} order by added_at_ms limit 10`,
  ).all(name) as { clientId: string; name: string; addedAtMs: number }[];

/** A person as the roster names them. */
export type ClientRow = {
  id: string;
  name: string;
  story: string;
  about: About;
  shelfLife: ShelfLife;
  limbShelfLives: LimbShelfLife[];
};

const CLIENT = `client.id, client.name, client.story, about, shelf_life as "shelfLife", limb_shelf_lives as "limbShelfLives"`;

/** Who is on the list of people: not who was taken off it, nor a record that went into another. */
const ON_THE_LIST = 'archived_at_ms is null and merged_into is null';

const rowsOf = (rows: readonly unknown[]): ClientRow[] =>
  (rows as (Omit<ClientRow, 'limbShelfLives' | 'about'> & { limbShelfLives: string; about: string })[]).map(
    (row) => ({
      ...row,
      about: { ...NOTHING_KNOWN, ...JSON.parse(row.about) },
      limbShelfLives: JSON.parse(row.limbShelfLives),
    }),
  );

/** A client by their id, unless the record went into another. */
export const findClientRow = (prepare: Prepare, clientId: string): ClientRow | undefined =>
  rowsOf(prepare(`select ${CLIENT} from client where id = ? and merged_into is null`).all(clientId))[0];

/**
 * A page of the people by name, or of those whose name or story has words that begin as the search says, and how many there are.
 * @param page counted from 0 @param archived those taken off the list instead, without a search
 */
export function findPeople(
  prepare: Prepare,
  { search, page, archived }: { search: string; page: number; archived: boolean },
): { total: number; rows: ClientRow[] } {
  const words = matchWords(search);
  const [from, values] = words
    ? [
        `client join client_search on client_search.id = client.id where client_search match ? and ${ON_THE_LIST}`,
        [words],
      ]
    : [`client where ${archived ? 'archived_at_ms is not null and merged_into is null' : ON_THE_LIST}`, []];
  return {
    ...(prepare(`select count(*) as total from ${from}`).get(...values) as { total: number }),
    rows: rowsOf(
      prepare(
        `select ${CLIENT} from ${from} order by client.name, client.id limit ${PAGE_OF_PEOPLE} offset ?`,
      ).all(...values, page * PAGE_OF_PEOPLE),
    ),
  };
}

/** How many are on the list of people. */
export const countPeople = (prepare: Prepare): number =>
  (prepare(`select count(*) as total from client where ${ON_THE_LIST}`).get() as { total: number }).total;

/** More than come on a day; of a practice with more, those who were here last. */
const MOST_TODAY = 200;

/**
 * Who trained or was added after these moments, who was here last first. Of people that a file brought only those who were screened since:
 * three hundred new names do not bury who trains.
 */
export const readLately = (
  prepare: Prepare,
  { trainedAfterMs, addedAfterMs }: { trainedAfterMs: number; addedAfterMs: number },
): ClientRow[] =>
  rowsOf(
    prepare(
      `select ${CLIENT} from client join (
         select client_id, max(at_ms) as last_ms from (
           select client_id, opened_at_ms as at_ms from session where superseded = 0 and opened_at_ms > ?
           union all select id, added_at_ms from client where added_at_ms > ? and (
             added_at_ms not in (select at_ms from import_batch where at_ms > ?)
             or exists (select 1 from screening where screening.client_id = client.id))
         ) group by client_id
       ) as lately on lately.client_id = client.id
       where ${ON_THE_LIST} order by lately.last_ms desc, client.id limit ${MOST_TODAY}`,
    ).all(trainedAfterMs, addedAfterMs, addedAfterMs),
  );

/** Who trained after a moment, and who has a plan that has not ended by `nowMs`, whether they come or not; by name. */
export const readTraining = (
  prepare: Prepare,
  { afterMs, nowMs }: { afterMs: number; nowMs: number },
): ClientRow[] =>
  rowsOf(
    prepare(
      `select ${CLIENT} from (
         select client_id from session where superseded = 0 and opened_at_ms > ?
         union select client_id from course_plan where state = 'in-force' and (until_ms is null or until_ms > ?)
       ) as lately join client on client.id = lately.client_id
       where ${ON_THE_LIST} order by client.name, client.id`,
    ).all(afterMs, nowMs),
  );
