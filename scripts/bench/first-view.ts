import { spawn } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { chromium } from '@playwright/test';
import getPort from 'get-port';
import { CHROMIUM_LAUNCH } from '../../tests/chromium';
import { startDemoServer } from './demo-server';
import { report } from './report';
import { signedIn } from './signed-in';

// The first view from the network: what comes over the wire until the list of people can be read and nothing is under way,
// how long that takes cold on a slow machine, and how long a second start of the demo takes.

const SLOW_DOWN = 4;
const server = await startDemoServer();
const browser = await chromium.launch(CHROMIUM_LAUNCH);

async function visit(slowDown: number) {
  // What the service worker fetches for later is not of the first view.
  const context = await signedIn(browser, server.address, { serviceWorkers: 'block' });
  const page = await context.newPage();
  const devtools = await context.newCDPSession(page);
  await devtools.send('Network.enable');
  await devtools.send('Network.setCacheDisabled', { cacheDisabled: true });
  await devtools.send('Emulation.setCPUThrottlingRate', { rate: slowDown });
  const kinds = new Map<string, string>();
  const bytes: Record<string, number> = {};
  devtools.on('Network.responseReceived', ({ requestId, type }) => kinds.set(requestId, type));
  devtools.on('Network.loadingFinished', ({ requestId, encodedDataLength }) => {
    const kind = kinds.get(requestId) ?? 'Other';
    bytes[kind] = (bytes[kind] ?? 0) + encodedDataLength;
  });
  const startMs = performance.now();
  await page.goto(server.address);
  await page
    .getByRole('main')
    .getByRole('link', { name: /Odalys Ferrant/ })
    .waitFor();
  const usableMs = performance.now() - startMs;
  // Not until it is idle, when the sheet of a person is fetched for later.
  await page.waitForTimeout(500);
  await context.close();
  return { bytes, usableMs };
}

const { bytes } = await visit(1);
const all = Object.values(bytes).reduce((sum, size) => sum + size, 0);
const kb = (size = 0) => `${(size / 1000).toFixed(0)} kB`;
report(
  'First view on the wire',
  `${kb(all)}: JavaScript ${kb(bytes.Script)}, fonts ${kb(bytes.Font)}, styles ${kb(bytes.Stylesheet)}, data ${kb((bytes.Fetch ?? 0) + (bytes.XHR ?? 0))}`,
  '≤ 200 kB, ≤ 125 kB of it JavaScript',
);
const slow = [];
for (let i = 0; i < 5; i += 1) slow.push((await visit(SLOW_DOWN)).usableMs);
report(
  'First view usable, cold, at 4 × slower CPU',
  `${((slow.sort((a, b) => a - b)[2] ?? 0) / 1000).toFixed(2)} s`,
  '≤ 1.2 s',
);
await browser.close();
server.stop();

/** How long `npm run demo` takes until it listens. */
async function demoMs(file: string): Promise<number> {
  const startMs = performance.now();
  const child = spawn('npm', ['run', '--silent', 'demo'], {
    env: { ...process.env, NERVATO_DB: file, NERVATO_PORT: String(await getPort()) },
    stdio: ['ignore', 'pipe', 'inherit'],
    detached: true,
  });
  await new Promise<void>((done) => {
    child.stdout.on('data', (text) => String(text).includes('Nervato is at') && done());
  });
  const tookMs = performance.now() - startMs;
  process.kill(-(child.pid ?? 0), 'SIGTERM');
  await new Promise((done) => child.once('exit', done));
  return tookMs;
}
const folder = mkdtempSync(join(tmpdir(), 'nervato-demo-'));
const file = join(folder, 'demo.sqlite');
const first = await demoMs(file);
const second = await demoMs(file);
report('`npm run demo` after install and build', `${(first / 1000).toFixed(1)} s`, '≤ 3 s');
report('`npm run demo` again', `${(second / 1000).toFixed(1)} s`, '≤ 2.5 s');
rmSync(folder, { recursive: true, force: true });
