import type { EntityManager } from '@mikro-orm/libsql';
import type { ClientRecord, ClientSummary, PeoplePage } from '#contract/client';
import type { WeekView } from '#contract/outcomes';
import { PAGE_OF_PEOPLE } from '#contract/pages';
import { msg } from '#core/message';
import { type Limb, MS_PER_DAY } from '#core/quantity';
import {
  chainOf,
  cuffInForce,
  holdsInForce,
  loadByHour,
  type PersonsWeek,
  personsWeek,
  plansInForce,
  testsDueLine,
  weekOff,
} from '#core/record';
import type { Lines } from '../live/lines';
import { notFound, refusedField } from '../problem';
import { type Prepare, withStatements } from './dialect/connection';
import { matchWords } from './dialect/sql';
import { type ClientRow, NAMED_BY_NOBODY, type Named, READ_AT_ONCE, readFacts } from './read-facts';
import { type PracticeFacts, readPracticeFacts } from './read-practice';

const CLIENT = `client.id, client.name, client.story, about, shelf_life as "shelfLife", limb_shelf_lives as "limbShelfLives"`;

/** Who is on the list of people: not who was taken off it, nor a record that went into another. */
const ON_THE_LIST = 'archived_at_ms is null and merged_into is null';

/**
 * One person with what counts now. @throws Problem 404 for an unknown id
 * @param naming measurements and tests that a request speaks of, so that what has taken their place can be named
 */
export const readClient = (
  em: EntityManager,
  clientId: string,
  nowMs: number,
  naming: Named = NAMED_BY_NOBODY,
): Promise<ClientRecord> => withStatements(em, (prepare) => readRecord(prepare, clientId, nowMs, naming));

/** The same within a transaction: as it is with what was written in it. */
export function readRecord(
  prepare: Prepare,
  clientId: string,
  nowMs: number,
  naming: Named = NAMED_BY_NOBODY,
): ClientRecord {
  const [row] = rowsOf(
    prepare(`select ${CLIENT} from client where id = ? and merged_into is null`).all(clientId),
  );
  if (!row) throw notFound(msg('This person'));
  const [record] = recordsOf(prepare, readPracticeFacts(prepare, nowMs), [row], nowMs, naming);
  if (!record) throw notFound(msg('This person'));
  return record;
}

/** The client of a write that needs nothing else of their record. @throws Problem 404 for an unknown id */
export const findClient = (em: EntityManager, clientId: string): Promise<{ id: string }> =>
  withStatements(em, (prepare) => {
    const row = prepare('select id from client where id = ? and merged_into is null').get(clientId);
    if (!row) throw notFound(msg('This person'));
    return row as { id: string };
  });

/**
 * A page of the people of the practice by name, or of those whose name or story has words that begin as the search says.
 * @param page counted from 0 @param archived those taken off the list instead, without a search @param lines what was worked out a moment ago already @returns with how many there are in all
 */
export async function readPeople(
  em: EntityManager,
  { search, page, archived = false }: { search: string; page: number; archived?: boolean },
  lines: Lines,
  nowMs: number,
): Promise<PeoplePage> {
  const { total, rows } = await withStatements(em, (prepare) => {
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
  });
  return { total, people: await linesOf(em, rows, lines, nowMs) };
}

/** Who was added so lately is expected, though they have not trained yet. */
const NEW_MS = 14 * MS_PER_DAY;
/** More than come on a day; of a practice with more, those who were here last. */
const MOST_TODAY = 200;

/** Who trains at present or was added lately, by name, with how many people there are in all. */
export async function readToday(em: EntityManager, lines: Lines, nowMs: number): Promise<PeoplePage> {
  const { total, rows } = await withStatements(em, (prepare) => ({
    ...(prepare(`select count(*) as total from client where ${ON_THE_LIST}`).get() as { total: number }),
    rows: rowsOf(
      prepare(
        `select ${CLIENT} from client join (
           select client_id, max(at_ms) as last_ms from (
             select client_id, opened_at_ms as at_ms from session where superseded = 0 and opened_at_ms > ?
             union all select id, added_at_ms from client where added_at_ms > ?
           ) group by client_id
         ) as lately on lately.client_id = client.id
         where ${ON_THE_LIST} order by lately.last_ms desc, client.id limit ${MOST_TODAY}`,
      ).all(nowMs - TRAINING_MS, nowMs - NEW_MS),
    ),
  }));
  const byName = rows.sort((a, b) => a.name.localeCompare(b.name) || a.id.localeCompare(b.id));
  return { total, people: await linesOf(em, byName, lines, nowMs) };
}

/** The lines of some people, in their order; those that were not asked for lately are worked out. */
async function linesOf(
  em: EntityManager,
  rows: readonly ClientRow[],
  lines: Lines,
  nowMs: number,
): Promise<ClientSummary[]> {
  const unknown = rows.filter(({ id }) => !lines.get(id, nowMs));
  await aFewAtATime(em, unknown, (prepare, some) => {
    for (const record of recordsOf(prepare, readPracticeFacts(prepare, nowMs), some, nowMs, null)) {
      lines.put(lineOf(record), nowMs);
    }
  });
  return rows.flatMap(({ id }) => lines.get(id, nowMs) ?? []);
}

/** Reads people a few at a time; other requests are answered in between: a session on the floor comes before a list. */
async function aFewAtATime(
  em: EntityManager,
  rows: readonly ClientRow[],
  read: (prepare: Prepare, some: readonly ClientRow[]) => void,
): Promise<void> {
  for (let done = 0; done < rows.length; done += READ_AT_ONCE) {
    if (done > 0) await new Promise(setImmediate);
    await withStatements(em, (prepare) => read(prepare, rows.slice(done, done + READ_AT_ONCE)));
  }
}

/** People who have stopped coming are left out: far longer than any absence. */
const TRAINING_MS = 60 * MS_PER_DAY;

/**
 * What all who train need this week, the most urgent first, and the sessions their blocks have in it.
 */
export async function readWeek(em: EntityManager, nowMs: number): Promise<WeekView> {
  const rows = await withStatements(em, (prepare) =>
    rowsOf(
      prepare(
        `select ${CLIENT} from session join client on client.id = session.client_id
         where session.superseded = 0 and session.opened_at_ms > ? and ${ON_THE_LIST} order by client.name, client.id`,
      ).all(nowMs - TRAINING_MS),
    ),
  );
  const weeks: { clientId: string; name: string; week: PersonsWeek }[] = [];
  await aFewAtATime(em, rows, (prepare, some) => {
    const facts = readFacts(prepare, readPracticeFacts(prepare, nowMs), some, nowMs, null);
    for (const [place, { id, name }] of some.entries()) {
      const own = facts[place];
      if (own) weeks.push({ clientId: id, name, week: personsWeek(own, nowMs) });
    }
  });
  const asking = weeks.filter(({ week }) => week.needs.length > 0);
  const soonest = ({ week }: (typeof weeks)[number]) => week.needs[0]?.inDays ?? 0;
  return {
    training: rows.length,
    people: asking
      .sort((a, b) => soonest(a) - soonest(b))
      .map(({ clientId, name, week: { needs, adherence } }) => ({ clientId, name, needs, adherence })),
    load: loadByHour(weeks.flatMap(({ week }) => week.coming)),
  };
}

/** The line of the roster of a person. */
export const lineOf = ({ id, name, story, chain, next, off, emergency }: ClientRecord): ClientSummary => ({
  id,
  name,
  story,
  chain,
  next,
  off,
  emergency,
});

const rowsOf = (rows: readonly unknown[]): ClientRow[] =>
  (rows as (Omit<ClientRow, 'limbShelfLives' | 'about'> & { limbShelfLives: string; about: string })[]).map(
    (row) => ({
      ...row,
      about: JSON.parse(row.about),
      limbShelfLives: JSON.parse(row.limbShelfLives),
    }),
  );

function recordsOf(
  prepare: Prepare,
  practice: PracticeFacts,
  rows: readonly ClientRow[],
  nowMs: number,
  naming: Named | null,
): ClientRecord[] {
  const { asOf } = prepare('select coalesce(max(id), 0) as "asOf" from audit').get() as { asOf: number };
  const facts = readFacts(prepare, practice, rows, nowMs, naming);
  return rows.flatMap(({ id, name, story, about }, place) => {
    const own = facts[place];
    if (!own) return [];
    const plans = plansInForce(own, nowMs);
    const chain = chainOf(own, practice.kit, nowMs, plans[0]?.prescription);
    const emergency = holdsInForce(own, nowMs).find((hold) => hold.isEmergency);
    const next = plans[0]
      ? { name: plans[0].coursePlan.name, turn: plans[0].turn, plans: plans.length }
      : null;
    return [
      {
        id,
        name,
        story,
        about,
        facts: own,
        chain,
        next,
        off: weekOff(own, plans, nowMs) ?? testsDueLine(own, nowMs),
        emergency: emergency ? { words: emergency.words, atMs: emergency.atMs } : null,
        judgedAtMs: nowMs,
        asOf,
      },
    ];
  });
}

/** The cuff fitted to a limb. @throws Problem 422 when there is none (rule FIT-1) */
export function requireFittedCuff(client: ClientRecord, limb: Limb) {
  const fit = cuffInForce(client.facts, limb);
  if (fit) return fit;
  throw refusedField(
    msg('Fit first'),
    'limb',
    'FIT-1',
    msg('No cuff is fitted to this limb.'),
    msg('Record its girth and choose a cuff first.'),
  );
}
