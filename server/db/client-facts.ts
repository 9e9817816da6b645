import type { EntityManager } from '@mikro-orm/libsql';
import type { ClientRecord, ClientSummary, PeoplePage } from '#contract/client';
import type { WeekView } from '#contract/outcomes';
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
import { lastAuditId } from '../record/audit';
import {
  type ClientRow,
  clientRecord,
  countPeople,
  findClientRow,
  findPeople,
  readLately,
  readTraining,
} from '../record/client';
import { findRow } from '../record/read';
import { type Prepare, withStatements } from './dialect/connection';
import { NAMED_BY_NOBODY, type Named, READ_AT_ONCE, readFacts } from './read-facts';
import { type PracticeFacts, readPracticeFacts } from './read-practice';

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
  const row = findClientRow(prepare, clientId);
  if (!row) throw notFound(msg('This person'));
  const [record] = recordsOf(prepare, readPracticeFacts(prepare, nowMs), [row], nowMs, naming);
  if (!record) throw notFound(msg('This person'));
  return record;
}

/** The client of a write that needs nothing else of their record. @throws Problem 404 for an unknown id */
export const findClient = (em: EntityManager, clientId: string): Promise<{ id: string }> =>
  withStatements(em, (prepare) => {
    const row = findRow(prepare, clientRecord, { id: clientId, mergedInto: null }, ['id']);
    if (!row) throw notFound(msg('This person'));
    return row;
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
  const { total, rows } = await withStatements(em, (prepare) =>
    findPeople(prepare, { search, page, archived }),
  );
  return { total, people: await linesOf(em, rows, lines, nowMs) };
}

/** Who was added so lately is expected, though they have not trained yet. */
const NEW_MS = 14 * MS_PER_DAY;

/** Who trains at present or was added lately, by name, with how many people there are in all. */
export async function readToday(em: EntityManager, lines: Lines, nowMs: number): Promise<PeoplePage> {
  const { total, rows } = await withStatements(em, (prepare) => ({
    total: countPeople(prepare),
    rows: readLately(prepare, { trainedAfterMs: nowMs - TRAINING_MS, addedAfterMs: nowMs - NEW_MS }),
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

/** Who trains at present. */
const TRAINING_MS = 60 * MS_PER_DAY;

/**
 * What all who train or have a plan need this week: first who does not come, then the most urgent; how far plans were kept to, and the
 * sessions their blocks have in it.
 */
export async function readWeek(em: EntityManager, nowMs: number): Promise<WeekView> {
  const rows = await withStatements(em, (prepare) =>
    readTraining(prepare, { afterMs: nowMs - TRAINING_MS, nowMs }),
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
  const away = ({ week }: (typeof weeks)[number]) => week.awayDays ?? 0;
  const kept = weeks.flatMap(({ week }) => week.adherence ?? []);
  return {
    training: rows.length,
    away: weeks.filter((one) => away(one) > 0).length,
    adherence: {
      people: kept.length,
      done: kept.reduce((sum, { done }) => sum + done, 0),
      planned: kept.reduce((sum, { planned }) => sum + planned, 0),
    },
    people: asking
      .sort((a, b) => away(b) - away(a) || soonest(a) - soonest(b))
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

function recordsOf(
  prepare: Prepare,
  practice: PracticeFacts,
  rows: readonly ClientRow[],
  nowMs: number,
  naming: Named | null,
): ClientRecord[] {
  const asOf = lastAuditId(prepare);
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
