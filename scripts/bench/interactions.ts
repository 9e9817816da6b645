import { chromium, type Page } from '@playwright/test';
import { CHROMIUM_LAUNCH } from '../../tests/chromium';
import { startDemoServer } from './demo-server';
import { percentile, report } from './report';
import { signedIn } from './signed-in';

// How long a press takes until the page shows something of it, as the browser itself counts it (the Event Timing interface),
// in the views that are worked in. Most are answered within a frame, which is not reported and counts as 16 ms.

const FRAME_MS = 16;
type Timed = { name: string; durationMs: number };

const server = await startDemoServer();
const browser = await chromium.launch(CHROMIUM_LAUNCH);
const page = await (
  await signedIn(browser, server.address, { viewport: { width: 1280, height: 800 } })
).newPage();
await page.addInitScript(() => {
  const seen = window as Window & { timed?: Timed[] };
  seen.timed = [];
  new PerformanceObserver((list) => {
    for (const { name, duration } of list.getEntries()) seen.timed?.push({ name, durationMs: duration });
  }).observe({ type: 'event', durationThreshold: 16, buffered: true } as PerformanceObserverInit);
});

const longest: { what: string; durationMs: number }[] = [];
/** Does something by hand and notes how long its slowest event took. */
async function press(what: string, action: (page: Page) => Promise<unknown>): Promise<void> {
  await page.evaluate(() => {
    (window as Window & { timed?: Timed[] }).timed = [];
  });
  await action(page);
  await page.waitForTimeout(300);
  const timed = await page.evaluate(() => (window as Window & { timed?: Timed[] }).timed ?? []);
  longest.push({ what, durationMs: Math.max(FRAME_MS, ...timed.map(({ durationMs }) => durationMs)) });
}
const key = (name: string) => (on: Page) => on.keyboard.press(name);
const link = (name: string) => (on: Page) =>
  on
    .getByRole('navigation', { name: 'Chain' })
    .getByRole('link', { name: new RegExp(name) })
    .click();

await page.goto(server.address);
await page
  .getByRole('main')
  .getByRole('link', { name: /Odalys Ferrant/ })
  .waitFor();
for (let round = 0; round < 3; round += 1) {
  await press('open a person', (on) =>
    on
      .getByRole('navigation', { name: 'People' })
      .getByRole('link', { name: /^Odalys Ferrant/ })
      .click(),
  );
  for (const bench of ['Screen', 'Fit', 'Measure', 'Load', 'Prescribe', 'Run']) {
    await press(`the bench ${bench}`, link(bench));
  }
  await press('the bench Prescribe', link('Prescribe'));
  const pressure = page.getByLabel('Pressure', { exact: true });
  await pressure.focus();
  for (const figure of ['4', '5']) await press('a figure of the prescription', key(figure));
  await pressure.blur();
  await press('draft again', key('d'));
  await press('the search', key('Control+k'));
  for (const letter of 'walk') await press('a letter of the search', key(letter));
  await press('leave the search', key('Escape'));
  await press('the other theme, G', key('g'));
  await press('the other theme, D', key('d'));
  await page.goto(server.address);
  await page
    .getByRole('main')
    .getByRole('link', { name: /Odalys Ferrant/ })
    .waitFor();
}
const worst = [...longest].sort((a, b) => b.durationMs - a.durationMs)[0];
report(
  `A press until the page shows it, ${longest.length} of them`,
  `p50 ${percentile(
    longest.map(({ durationMs }) => durationMs),
    0.5,
  )} ms, p95 ${percentile(
    longest.map(({ durationMs }) => durationMs),
    0.95,
  )} ms, the longest ${worst?.durationMs} ms (${worst?.what})`,
  '≤ 100 ms',
);
if (process.env.NERVATO_BENCH_LINES === undefined) console.table(longest);
await browser.close();
server.stop();
