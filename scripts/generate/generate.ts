import type { MikroORM } from '@mikro-orm/libsql';
import { loadDemo } from '#demo/load';
import { inTransaction, type Prepare } from '#server/db/dialect/connection';
import { personAt } from './names';

const DAY_MS = 86_400_000;
/** A course of training and the pause after it, in days. */
const COURSE_DAYS = 84;
const TRAINED_DAYS = 56;
const SESSIONS_A_COURSE = 16;
/** Whose record is taken as the pattern of a course: it has a bit of everything. */
const PATTERN = 'Odalys Ferrant';

export type Size = {
  people: number;
  years: number;
  /** Sessions older than this keep no events: at thousands of people the logs would fill the disk, and no list reads them. */
  logWeeks: number;
};

type Row = Record<string, unknown>;
/** Tables whose rows make a course, after what they point at. */
const COURSE = [
  'screening',
  'clearance',
  'consent',
  'girth',
  'lop',
  'lop_trial',
  'lop_quick_check',
  'strength_test',
  'course_plan',
  'prescription',
  'block',
] as const;

/**
 * Fills a database with a practice of some size: the demo practice, and people who each repeat a course of training over the
 * years, moved in time, by prepared statements in the shapes of the tables. The same size makes the same practice.
 */
export async function generate(orm: MikroORM, { people, years, logWeeks }: Size, nowMs: number) {
  await loadDemo(orm, nowMs);
  await inTransaction(orm.em.fork(), (prepare) => {
    const pattern = readPattern(prepare);
    const add = inserter(prepare);
    const courses = Math.max(1, Math.floor((years * 365) / COURSE_DAYS));
    for (let place = 0; place < people; place += 1) {
      const clientId = idOf();
      // Some are in the middle of a course, some have just ended one, some were last seen a year ago.
      const restedDays = place % 10 === 9 ? 365 : (place * 5) % 43;
      add('client', { ...pattern.client, id: clientId, ...personAt(place) });
      for (let back = courses - 1; back >= 0; back -= 1) {
        const endsMs = nowMs - (restedDays + back * COURSE_DAYS) * DAY_MS;
        const course = { clientId, endsMs, isLast: back === 0, logsFromMs: nowMs - logWeeks * 7 * DAY_MS };
        addCourse(add, pattern, course, nowMs);
      }
    }
  });
}

type Pattern = {
  client: Row;
  rows: ReadonlyMap<string, readonly Row[]>;
  dayCheck: Row;
  sessions: readonly { row: Row; events: readonly Row[] }[];
};

function readPattern(prepare: Prepare): Pattern {
  const client = prepare('select * from client where name = ?').get(PATTERN) as Row;
  const all = (table: string, where: string, id: unknown) =>
    prepare(`select * from ${table} where ${where}`).all(id) as Row[];
  const rows = new Map(
    COURSE.map((table) => [
      table as string,
      table === 'lop_trial'
        ? all(table, 'lop_id in (select id from lop where client_id = ?)', client.id)
        : all(table, table === 'course_plan' ? 'client_id = ?' : 'client_id = ? order by at_ms', client.id),
    ]),
  );
  const sessions = all('session', 'client_id = ? order by opened_at_ms', client.id).map((row) => ({
    row,
    events: all('session_event', 'session_id = ? order by at_ms', row.id),
  }));
  const [dayCheck] = all('day_check', 'client_id = ?', client.id);
  if (!dayCheck || sessions.length === 0) throw new Error(`${PATTERN} has no session to repeat.`);
  return { client, rows, dayCheck, sessions };
}

let lastId = 0;
/** Ids count up, so that the same size makes the same file. */
const idOf = (): string => {
  lastId += 1;
  return `${'0'.repeat(8)}-0000-4000-8000-${lastId.toString(16).padStart(12, '0')}`;
};

type Add = (table: string, row: Row) => void;

/** Inserts rows of any table; what the database works out itself is left to it. */
export function inserter(prepare: Prepare): Add {
  const columns = new Map<string, string[]>();
  const columnsOf = (table: string): string[] => {
    const known = columns.get(table);
    if (known) return known;
    const info = prepare(`select name, hidden from pragma_table_xinfo('${table}')`).all() as {
      name: string;
      hidden: number;
    }[];
    const own = info
      .filter(({ name, hidden }) => hidden === 0 && name !== 'superseded')
      .map(({ name }) => name);
    columns.set(table, own);
    return own;
  };
  return (table, row) => {
    const names = columnsOf(table);
    prepare(
      `insert into ${table} (${names.map((name) => `"${name}"`).join(', ')}) values (${names.map(() => '?').join(', ')})`,
    ).run(...names.map((name) => row[name] ?? null));
  };
}

function addCourse(
  add: Add,
  { client, rows, dayCheck, sessions }: Pattern,
  {
    clientId,
    endsMs,
    isLast,
    logsFromMs,
  }: { clientId: string; endsMs: number; isLast: boolean; logsFromMs: number },
  nowMs: number,
): void {
  const byMs = endsMs - nowMs;
  const ids = new Map<unknown, string>([[client.id, clientId]]);
  for (const row of [...rows.values()].flat()) ids.set(row.id, idOf());
  const named = namedAnew(ids);
  for (const table of COURSE) {
    for (const row of rows.get(table) ?? []) {
      // A plan ends with its course.
      const state = table === 'course_plan' && !isLast ? { state: 'ended' } : {};
      add(table, { ...moved(row, byMs, named), ...state });
    }
  }
  for (let place = 0; place < SESSIONS_A_COURSE; place += 1) {
    const pattern = sessions[place % sessions.length];
    if (!pattern) continue;
    const openedAtMs = endsMs - TRAINED_DAYS * DAY_MS * (1 - (place + 1) / SESSIONS_A_COURSE) - 3_600_000;
    const shiftMs = openedAtMs - Number(pattern.row.opened_at_ms);
    const sessionId = idOf();
    const renamed = (value: unknown) => (value === pattern.row.id ? sessionId : named(value));
    add('day_check', { ...dayCheck, id: idOf(), client_id: clientId, at_ms: openedAtMs - 600_000 });
    add('session', moved(pattern.row, shiftMs, renamed));
    if (openedAtMs < logsFromMs) continue;
    for (const row of pattern.events) {
      const event = JSON.parse(String(row.event));
      const id = idOf();
      const text = JSON.stringify({ ...event, id, sessionId, atMs: event.atMs + shiftMs });
      add('session_event', { ...moved(row, shiftMs, renamed), id, event: text });
    }
  }
}

/** Ids of the pattern, alone or within a plan, replaced by those of the course. */
function namedAnew(ids: ReadonlyMap<unknown, string>): (value: unknown) => unknown {
  return (value) => {
    if (typeof value !== 'string') return value;
    const own = ids.get(value);
    if (own !== undefined) return own;
    if (!value.startsWith('{')) return value;
    return value.replace(/"(?:occlusionId|testId)":"([^"]+)"/g, (whole, id: string) =>
      whole.replace(id, ids.get(id) ?? id),
    );
  };
}

/** A row at another time, under other ids. */
const moved = (row: Row, byMs: number, named: (value: unknown) => unknown): Row =>
  Object.fromEntries(
    Object.entries(row).map(([column, value]) => [
      column,
      column.endsWith('_at_ms') || column === 'at_ms'
        ? value === null
          ? null
          : Math.round(Number(value) + byMs)
        : column === 'clearance'
          ? clearanceMoved(String(value), byMs)
          : named(value),
    ]),
  );

function clearanceMoved(text: string, byMs: number): string {
  const clearance = JSON.parse(text);
  return JSON.stringify({
    ...clearance,
    givenAtMs: clearance.givenAtMs + byMs,
    untilMs: clearance.untilMs === null ? null : clearance.untilMs + byMs,
  });
}
