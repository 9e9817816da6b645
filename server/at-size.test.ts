import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import Database from 'libsql';
import { pino } from 'pino';
import { afterAll, beforeAll, describe, expect, it, vi } from 'vitest';
import type { ClientRecord, PeoplePage } from '#contract/client';
import { PAGE_OF_PEOPLE } from '#contract/pages';
import type { SessionView } from '#contract/session';
import { generate } from '../scripts/generate/generate';
import { signInHere } from './access/sign-in-here';
import { createApp } from './app';
import { openDatabase } from './db/database';

// Forty people over half a year. Nothing is timed: statements and rows are counted, and every hot query's plan is read, so
// that a read that grows with the people or the years cannot come back unseen.

const PEOPLE = 40;
const NOW_MS = Date.UTC(2026, 4, 4, 12);
const folder = mkdtempSync(join(tmpdir(), 'nervato-size-'));
const file = join(folder, 'size.sqlite');
let orm: Awaited<ReturnType<typeof openDatabase>>;
let app: ReturnType<typeof createApp>;
let signedIn: { cookie: string };

beforeAll(async () => {
  orm = await openDatabase(file);
  await generate(orm, { people: PEOPLE, years: 0.5, logWeeks: 4 }, NOW_MS);
  signedIn = await signInHere(orm, 'ines');
  app = createApp({ orm, now: () => NOW_MS, log: pino({ level: 'silent' }) });
});
afterAll(async () => {
  await orm.close();
  rmSync(folder, { recursive: true });
});

const ask = (path: string, body?: unknown) =>
  app.request(`/api${path}`, {
    method: body ? 'POST' : 'GET',
    headers: { 'content-type': 'application/json', ...signedIn },
    ...(body ? { body: JSON.stringify(body) } : {}),
  });
const get = async <T>(path: string): Promise<T> => {
  const answer = await ask(path);
  expect([path, answer.status]).toEqual([path, 200]);
  return (await answer.json()) as T;
};

/** What a request asks of the database: its texts, how many statements ran, and the rows that came of them. */
async function cost(work: () => Promise<unknown> | Response) {
  const statement = new Database(':memory:').prepare('select 1');
  const prototype = Object.getPrototypeOf(statement);
  const texts = new Set<string>();
  let statements = 0;
  let rows = 0;
  const count = (answer: unknown) => {
    statements += 1;
    rows += Array.isArray(answer) ? answer.length : answer ? 1 : 0;
    return answer;
  };
  const spies = (['all', 'get', 'run'] as const).map((method) => {
    const real = prototype[method];
    return vi.spyOn(prototype, method).mockImplementation(function (this: unknown, ...values: unknown[]) {
      return count(real.apply(this, values));
    });
  });
  const { prepare } = Database.prototype;
  const prepared = vi.spyOn(Database.prototype, 'prepare').mockImplementation(function (
    this: InstanceType<typeof Database>,
    sql: string,
  ) {
    texts.add(sql);
    return prepare.call(this, sql);
  });
  await work();
  for (const spy of [...spies, prepared]) spy.mockRestore();
  return { texts: [...texts], statements, rows };
}

/** Lines of a query's plan that look through a whole table. */
function scansOf(sql: string): string[] {
  const db = new Database(file);
  try {
    const plan = db.prepare(`explain query plan ${sql}`).all(
      ...sql
        .replace(/[^?]/g, '')
        .split('')
        .map(() => 0),
    );
    return (plan as { detail: string }[])
      .map(({ detail }) => detail)
      .filter((detail) => /\bSCAN\b/.test(detail) && !MAY_BE_SCANNED.some((table) => detail.includes(table)));
  } finally {
    db.close();
  }
}

/** What the ORM asks of the practice itself: a few rows each. */
const OF_THE_PRACTICE = /from `(practice|person|kit|exercise|template)`/;

// A practice has a few of each; a page of names is read off its index, which the total is counted by.
const MAY_BE_SCANNED = [
  'SCAN practice',
  'SCAN erased',
  'SCAN person',
  'SCAN kit',
  'SCAN exercise',
  'SCAN measure',
  'SCAN template',
  'SCAN CONSTANT ROW',
  // Only those that are open are in it.
  'SCAN session USING INDEX session_open',
  'SCAN client USING INDEX client_name',
  'SCAN client USING COVERING INDEX',
  // Counts by kind, not by session; and as few as have gone wrong.
  'SCAN inflation_count',
  'SCAN adverse_event USING COVERING INDEX',
  // The rows of one measure, found by its index before.
  'SCAN (subquery',
  'SCAN earliest',
  // One line for each who trains at present or is new.
  'SCAN lately',
  // As few as files were brought.
  'SCAN import_batch',
  // Asks the full-text index, which has no other word for it.
  'SCAN client_search VIRTUAL TABLE INDEX',
];

/** The first look at a record within an hour is written down: begin, the entry before, this one, commit. */
const ONE_LOOK = 4;

/** What a request may cost at first, with one look for who works; none of it grows with people who are not asked for, nor with years. */
const HOT = (clientId: string, sessionId: string) =>
  [
    { path: '/clients', statements: 170, rows: 1_400 },
    { path: '/clients?search=ad', statements: 170, rows: 1_400 },
    // Grows with who trains, a few statements each, and not with their years.
    { path: '/clients/today', statements: 385, rows: 2_900 },
    { path: `/clients/${clientId}`, statements: 42, rows: 121 },
    { path: `/clients/${clientId}/last-review`, statements: 161, rows: 1501 },
    { path: `/clients/${clientId}/history/sessions`, statements: 2, rows: 31 },
    { path: `/clients/${clientId}/history/screenings`, statements: 2, rows: 31 },
    { path: `/clients/${clientId}/history/clearances`, statements: 2, rows: 31 },
    {
      path: `/clients/${clientId}/history/pressures?limb=left-thigh&position=sitting&cuffId=thigh-l`,
      statements: 2,
      rows: 201,
    },
    {
      path: `/clients/${clientId}/history/one-rep-maxes?exerciseId=knee-extension&side=left`,
      statements: 2,
      rows: 201,
    },
    // The whole log, and all that was measured: as long as the person's own, in a few statements.
    { path: `/clients/${clientId}/log`, statements: 3, rows: 61 },
    { path: `/clients/${clientId}/outcomes`, statements: 8, rows: 61 },
    // Grows with who trains or has a plan, a few statements each, and not with their years.
    { path: '/practice/week', statements: 400, rows: 3_000 },
    { path: '/practice/surveillance', statements: 3, rows: 401 },
    { path: '/practice/responders?measureId=girth-mid-thigh', statements: 3, rows: 161 },
    { path: '/sessions/open', statements: 2, rows: 1 },
    { path: `/sessions/${sessionId}`, statements: 7, rows: 81 },
    { path: '/practice', statements: 7, rows: 61 },
  ] as const;

describe('a practice of some size', () => {
  it('costs no more than is shown, and looks through no table', async () => {
    const { people } = await get<PeoplePage>('/clients');
    const some = people.find(({ story }) => story.includes('Thigh strength'))?.id ?? '';
    const [last] = await get<{ id: string }[]>(`/clients/${some}/history/sessions`);
    for (const { path, ...of } of HOT(some, last?.id ?? '')) {
      const look = /^\/(clients|sessions)\/[0-9a-f]/.test(path) ? ONE_LOOK : 0;
      const [statements, rows] = [of.statements + look, of.rows + look];
      await get(path);
      // A server that has just started knows no line yet.
      app = createApp({ orm, now: () => NOW_MS, log: pino({ level: 'silent' }) });
      const found = await cost(() => get(path));
      expect([path, found.statements <= statements, found.statements]).toEqual([
        path,
        true,
        found.statements,
      ]);
      expect([path, found.rows <= rows, found.rows]).toEqual([path, true, found.rows]);
    }
    // Prepared again by a server that starts, so that each text is seen.
    const fresh = await openDatabase(file);
    app = createApp({ orm: fresh, now: () => NOW_MS, log: pino({ level: 'silent' }) });
    for (const { path } of HOT(some, last?.id ?? '')) {
      const { texts } = await cost(() => get(path));
      for (const sql of texts.filter((text) => /^\s*select/i.test(text) && !OF_THE_PRACTICE.test(text))) {
        expect([path, sql, scansOf(sql)]).toEqual([path, sql, []]);
      }
    }
    await orm.close();
    orm = fresh;
  });

  it('takes an event with the same few statements, however long the log is', async () => {
    const { people } = await get<PeoplePage>('/clients?search=odalys');
    const { facts } = await get<ClientRecord>(`/clients/${people[0]?.id}`);
    const [session] = facts.sessions.sort((a, b) => b.startedAtMs - a.startedAtMs);
    const prescriptionId = facts.prescriptions[0]?.id;
    const opened = await ask('/sessions', { id: '11111111-1111-4111-8111-111111111111', prescriptionId });
    const view = (await opened.json()) as SessionView;
    expect([view.idBefore, view.painBefore]).toEqual([session?.id, 1]);
    let seq = 0;
    const post = () => {
      seq += 1;
      return ask(`/sessions/${view.id}/events`, {
        events: [
          {
            id: `22222222-2222-4222-8222-${String(seq).padStart(12, '0')}`,
            sessionId: view.id,
            deviceId: 'one',
            seq,
            atMs: NOW_MS + seq,
            type: 'pressure-read',
            limb: 'left-thigh',
            pressureMmHg: 80,
            cause: 'read',
          },
        ],
      });
    };
    for (let i = 0; i < 40; i += 1) await post();
    const { statements, rows } = await cost(post);
    // Begin, the session, the known event, the new one, the entry before in the audit, the one of this, commit.
    expect([statements, rows <= 7]).toEqual([7, true]);
  });

  it('says the same of all people, whether or not rows are passed over that something newer has replaced', async () => {
    const all = async () => {
      const { total } = await get<PeoplePage>('/clients');
      const pages = await Promise.all(
        Array.from({ length: Math.ceil(total / PAGE_OF_PEOPLE) }, (_, page) =>
          get<PeoplePage>(`/clients?page=${page}`),
        ),
      );
      return pages.flatMap(({ people }) => people);
    };
    const before = await all();
    expect(before.length).toBeGreaterThan(PEOPLE);
    const tables = ['screening', 'day_check', 'girth', 'tightness', 'lop', 'strength_test', 'prescription'];
    for (const table of [...tables, 'block', 'session']) {
      await orm.em.getConnection().execute(`update ${table} set superseded = 0`);
    }
    // Worked out again, by a server that has just started.
    app = createApp({ orm, now: () => NOW_MS, log: pino({ level: 'silent' }) });
    expect(await all()).toEqual(before);
  });
});
