import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { gzipSync } from 'node:zlib';
import type { MikroORM } from '@mikro-orm/libsql';
import { chromium } from '@playwright/test';
import { pino } from 'pino';
import type { PeoplePage } from '#contract/client';
import { PAGE_OF_PEOPLE } from '#contract/pages';
import { DEMO_OWNER } from '#demo/practice';
import { signInAt } from '#server/access/sign-in-at';
import { signInHere } from '#server/access/sign-in-here';
import { createApp } from '#server/app';
import { openDatabase } from '#server/db/database';
import { type Prepare, withStatements } from '#server/db/dialect/connection';
import { CHROMIUM_LAUNCH } from '../../tests/chromium';
import { generate } from '../generate/generate';
import { startServer } from './demo-server';
import { percentile, percentiles, report } from './report';
import { signedIn } from './signed-in';

// Practices of several sizes: what the roster, a person and the years cost, and what else waits meanwhile.

const folder = mkdtempSync(join(tmpdir(), 'nervato-size-'));
const fileOf = (name: string) => join(folder, `${name}.sqlite`);

async function make(people: number, years: number, logWeeks: number): Promise<string> {
  const name = `${people}x${years}`;
  const orm = await openDatabase(fileOf(name));
  await generate(orm, { people, years, logWeeks }, Date.now());
  await orm.close();
  return name;
}

/** Asks an application that has just started, as who owns the practice: it knows no line of the roster yet. */
async function askingOf(orm: MikroORM) {
  const headers = await signInHere(orm, 'ines');
  return () => {
    const app = createApp({ orm, now: Date.now, log: pino({ level: 'silent' }) });
    return async (path: string) => (await app.request(`/api${path}`, { headers })).text();
  };
}

async function cpuMs(work: () => Promise<unknown>): Promise<number> {
  const from = process.cpuUsage();
  await work();
  const { user, system } = process.cpuUsage(from);
  return (user + system) / 1000;
}

async function medianCpuMs(work: () => Promise<unknown>, times: number): Promise<number> {
  const all: number[] = [];
  for (let i = 0; i < times; i += 1) all.push(await cpuMs(work));
  return percentile(all, 0.5);
}

/** The same page by hand: one text a table with the rows that count, and their JSON. */
function byHand(prepare: Prepare): string {
  const people = prepare(`select * from client order by name, id limit ${PAGE_OF_PEOPLE}`).all() as {
    id: string;
  }[];
  const marks = people.map(() => '?').join(', ');
  const ids = people.map(({ id }) => id);
  const read = (table: string, and: string) =>
    prepare(`select * from ${table} where client_id in (${marks}) and ${and}`).all(...ids);
  const halfAYearAgo = Date.now() - 26 * 7 * 86_400_000;
  return JSON.stringify([
    people,
    ...['screening', 'day_check', 'girth', 'tightness', 'lop', 'strength_test', 'prescription', 'block'].map(
      (table) => read(table, 'superseded = 0'),
    ),
    read('clearance', 'true'),
    read('hold', 'lifted_at_ms is null'),
    read('session', `(superseded = 0 or opened_at_ms >= ${halfAYearAgo})`),
  ]);
}

const roster: Record<string, number> = {};
for (const [people, years, logWeeks] of [
  [500, 1, 4],
  [500, 10, 1],
  [5000, 1, 1],
] as const) {
  const name = await make(people, years, logWeeks);
  const orm = await openDatabase(fileOf(name));
  const started = await askingOf(orm);
  const read = (path: string) => started()(path);
  for (let i = 0; i < 15; i += 1) await read(`/clients?page=${i % 5}`);
  const cold = await medianCpuMs(() => read('/clients'), 15);
  const search = await medianCpuMs(() => read('/clients?search=ad'), 15);
  const hand = await medianCpuMs(() => withStatements(orm.em.fork(), byHand), 15);
  const ask = started();
  const warm = await medianCpuMs(() => ask('/clients'), 15);
  roster[name] = cold;
  const label = `Roster page, ${people} people × ${years} ${years === 1 ? 'year' : 'years'}`;
  report(
    label,
    `${cold.toFixed(0)} ms CPU with nothing known yet, ${warm.toFixed(1)} ms after; by hand ${hand.toFixed(0)} ms (${(cold / hand).toFixed(1)} and ${(warm / hand).toFixed(2)} ×)`,
    people === 500 ? '≤ 80 ms, ≤ 1.5 × by hand' : '≤ 60 ms',
  );
  report(
    `Search as one types, ${people} × ${years}`,
    `${search.toFixed(0)} ms CPU with nothing known yet`,
    '≤ 60 ms',
  );
  if (years === 10) await measurePerson(orm);
  await orm.close();
}
report(
  'Roster, ten times the years',
  `${((roster['500x10'] ?? 0) / (roster['500x1'] ?? 1)).toFixed(2)} ×`,
  '≤ 1.2 ×',
);

async function measurePerson(orm: MikroORM): Promise<void> {
  const ask = (await askingOf(orm))();
  const { people } = JSON.parse(await ask('/clients?page=2')) as PeoplePage;
  const id = people[4]?.id ?? '';
  const read = (path: string) => ask(`/clients/${id}${path}`);
  await read('');
  const sheet = await medianCpuMs(() => read(''), 30);
  const text = await read('');
  report(
    'A person’s sheet after 10 years',
    `${sheet.toFixed(1)} ms CPU, ${(text.length / 1000).toFixed(0)} kB (${(gzipSync(text).length / 1000).toFixed(0)} kB on the wire)`,
    '≤ 15 ms, ≤ 60 kB',
  );
  const HISTORY =
    'select id, opened_at_ms from session where client_id = ? and finished_at_ms is not null order by opened_at_ms desc limit 30';
  const raw = await medianCpuMs(
    () => withStatements(orm.em.fork(), (prepare) => JSON.stringify(prepare(HISTORY).all(id))),
    200,
  );
  const page = await medianCpuMs(() => read('/history/sessions'), 200);
  report(
    'A page of their sessions',
    `${page.toFixed(2)} ms CPU; by hand ${raw.toFixed(2)} ms (${(page / raw).toFixed(1)} ×)`,
    '≤ 1.5 × by hand',
  );
  const review = await medianCpuMs(() => read('/last-review'), 15);
  report('The last reviews in one request', `${review.toFixed(0)} ms CPU`);
}

// What a server of the biggest practice takes, and what else it answers while its roster is read.
const server = await startServer(fileOf('5000x1'));
const headers = await signInAt(server.address, DEMO_OWNER);
const timesMs: number[] = [];
let reading = true;
const readers = [0, 1].map(async (reader) => {
  for (let page = reader; reading; page = (page + 2) % 160) {
    await (await fetch(`${server.address}/api/clients?page=${page}`, { headers })).text();
  }
});
for (let i = 0; i < 150; i += 1) {
  const startMs = performance.now();
  await (await fetch(`${server.address}/api/health`)).text();
  timesMs.push(performance.now() - startMs);
  await new Promise((done) => setTimeout(done, 20));
}
reading = false;
await Promise.all(readers);
report('Other requests while the roster is read, 5,000 × 1', percentiles(timesMs), '≤ 50 ms p95');
report('Memory of the server then, 5,000 × 1', `${(server.residentBytes() / 1e6).toFixed(0)} MB`, '≤ 250 MB');

const browser = await chromium.launch(CHROMIUM_LAUNCH);
const page = await (await signedIn(browser, server.address)).newPage();
await page.goto(`${server.address}/kit`);
await page.getByRole('heading', { name: 'Kit and practice' }).waitFor();
const fromMs = performance.now();
await page.goto(server.address);
await page.getByRole('main').getByRole('link').nth(3).waitFor();
report(
  '5,000 people in the list',
  `${(performance.now() - fromMs).toFixed(0)} ms from opening to reading`,
  '≤ 1 s',
);
const typedMs = performance.now();
await page.getByRole('searchbox', { name: 'Find in this list' }).fill('nestor');
await page
  .getByRole('main')
  .getByText(/^Nestor /)
  .first()
  .waitFor();
report('A search of them, typed', `${(performance.now() - typedMs).toFixed(0)} ms`);
await browser.close();
server.stop();
rmSync(folder, { recursive: true });
