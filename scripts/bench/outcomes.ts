import { randomUUID } from 'node:crypto';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { gzipSync } from 'node:zlib';
import { chromium } from '@playwright/test';
import { DEMO_OWNER } from '#demo/practice';
import { signInAt } from '#server/access/sign-in-at';
import { openDatabase } from '#server/db/database';
import { inTransaction, type Prepare } from '#server/db/dialect/connection';
import { CHROMIUM_LAUNCH } from '../../tests/chromium';
import { generate, inserter } from '../generate/generate';
import { startServer } from './demo-server';
import { percentile, report } from './report';
import { signedIn } from './signed-in';

// The log of a person with a thousand sessions, and responders of five hundred.

const DAY_MS = 86_400_000;
const SESSIONS = 1_000;
const PEOPLE = 500;
const folder = mkdtempSync(join(tmpdir(), 'nervato-outcomes-'));
const file = join(folder, 'outcomes.sqlite');
const orm = await openDatabase(file);
await generate(orm, { people: PEOPLE, years: 1, logWeeks: 1 }, Date.now());
const clientId = await inTransaction(orm.em.fork(), fill);
await orm.close();

/** Two girths of every person, and one person's sessions copied to a thousand. @returns that person */
function fill(prepare: Prepare): string {
  const clients = prepare('select id from client').all() as { id: string }[];
  const add = prepare(
    `insert into outcome (id, client_id, measure_id, limb, setting, at_ms, repeats, value, note, practitioner_id, withdrawn)
     values (?, ?, 'girth-mid-thigh', 'left-thigh', '', ?, ?, ?, '', 'ines', null)`,
  );
  for (const [place, { id }] of clients.entries()) {
    for (const [weeksAgo, gainCm] of [
      [40, 0],
      [1, (place % 7) / 4],
    ] as const) {
      const girthCm = 50 + gainCm;
      const repeats = JSON.stringify([girthCm - 0.1, girthCm + 0.1]);
      add.run(randomUUID(), id, Date.now() - weeksAgo * 7 * DAY_MS, repeats, girthCm);
    }
  }
  // Not everyone of a practice has come to a session yet.
  const session = prepare(
    'select * from session where log_line is not null order by opened_at_ms limit 1',
  ).get() as Record<string, string | number>;
  const client = String(session.client_id);
  const copy = inserter(prepare);
  for (let place = 1; place <= SESSIONS; place += 1) {
    const shiftMs = -place * 2 * DAY_MS;
    copy('session', {
      ...session,
      id: randomUUID(),
      opened_at_ms: Number(session.opened_at_ms) + shiftMs,
      finished_at_ms: Number(session.finished_at_ms) + shiftMs,
    });
  }
  return client;
}

const server = await startServer(file);
const headers = await signInAt(server.address, DEMO_OWNER);

async function medianMs(path: string): Promise<{ ms: number; text: string }> {
  const times: number[] = [];
  let text = '';
  for (let i = 0; i < 15; i += 1) {
    const fromMs = performance.now();
    text = await (await fetch(`${server.address}/api${path}`, { headers })).text();
    times.push(performance.now() - fromMs);
  }
  return { ms: percentile(times, 0.5), text };
}

const log = await medianMs(`/clients/${clientId}/log`);
report(
  `The log of ${SESSIONS} sessions`,
  `${log.ms.toFixed(0)} ms from asking to reading, ${(gzipSync(log.text).length / 1000).toFixed(0)} kB on the wire`,
  '≤ 100 ms',
);
const responders = await medianMs('/practice/responders?measureId=girth-mid-thigh');
report(`Responders of ${PEOPLE}`, `${responders.ms.toFixed(0)} ms from asking to reading`, '≤ 200 ms');

const browser = await chromium.launch(CHROMIUM_LAUNCH);
const page = await (await signedIn(browser, server.address)).newPage();
await page.goto(`${server.address}/people/${clientId}/fit`);
await page.getByRole('heading', { name: 'Fit' }).waitFor();
// The window opens after the page has settled.
await page.waitForTimeout(2_000);
const toLog = page.getByRole('navigation', { name: 'Chain' }).getByRole('link', { name: /^Log/ });
// Counted within the page, from its click to the frame that shows it.
const paintedMs = await toLog.evaluate(async (link: HTMLElement) => {
  const fromMs = performance.now();
  link.click();
  while (!document.body.textContent?.includes('Occluded in all')) {
    await new Promise(requestAnimationFrame);
  }
  await new Promise(requestAnimationFrame);
  return performance.now() - fromMs;
});
report('That log, painted', `${paintedMs.toFixed(0)} ms from the click`, '≤ 300 ms');
await browser.close();
server.stop();
rmSync(folder, { recursive: true });
