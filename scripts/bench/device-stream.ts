import { readFileSync } from 'node:fs';
import { chromium } from '@playwright/test';
import type { PeoplePage } from '#contract/client';
import { LIMBS } from '#core/quantity';
import { DEMO_OWNER } from '#demo/practice';
import { signInAt } from '#server/access/sign-in-at';
import { CHROMIUM_LAUNCH } from '../../tests/chromium';
import { startDemoServer } from './demo-server';
import { report } from './report';
import { signedIn } from './signed-in';

// Eight simulated limbs streaming at 20 Hz: the server's share of one core, and the main thread of a page that reads
// and draws them, in ms per second.

const SECONDS = 10;
const server = await startDemoServer();
const base = server.address;
const headers = { 'content-type': 'application/json', ...(await signInAt(server.address, DEMO_OWNER)) };
const post = async (path: string, body: unknown) =>
  (await fetch(`${base}/api${path}`, { method: 'POST', headers, body: JSON.stringify(body) })).json();
const { people }: PeoplePage = await (await fetch(`${base}/api/clients`, { headers })).json();
const ids: string[] = [];
for (const { id: clientId } of people.slice(0, 2)) {
  for (const limb of LIMBS) {
    const fit = limb.endsWith('arm') ? { girthCm: 30, cuffId: 'arm-m' } : { girthCm: 55, cuffId: 'thigh-l' };
    await post(`/clients/${clientId}/fits`, { kind: 'cuff', limb, ...fit });
    ids.push((await post('/devices', { clientId, limb, position: 'sitting', kind: 'by-hand' })).id);
  }
}

/** CPU time a process has used, in ms (Linux counts it in hundredths of a second). */
const cpuMs = (pid: number): number => {
  const fields = readFileSync(`/proc/${pid}/stat`, 'utf8').split(') ')[1]?.split(' ') ?? [];
  return 10 * (Number(fields[11]) + Number(fields[12]));
};

const browser = await chromium.launch(CHROMIUM_LAUNCH);
const page = await (await signedIn(browser, server.address)).newPage();
await page.goto(base);
const session = await page.context().newCDPSession(page);
await session.send('Performance.enable');
const taskMs = async (): Promise<number> => {
  const { metrics } = await session.send('Performance.getMetrics');
  return 1000 * (metrics.find(({ name }) => name === 'TaskDuration')?.value ?? 0);
};
const idleFromMs = await taskMs();
await page.waitForTimeout(3_000);
const idlePerSecond = ((await taskMs()) - idleFromMs) / 3;

const serverFromMs = cpuMs(server.pid);
const pageFromMs = await taskMs();
// A browser holds six streams to one address over HTTP/1.1; the other two are read from here.
const here = new AbortController();
for (const id of ids.slice(6)) {
  void fetch(`${base}/api/devices/${id}/stream`, { signal: here.signal, headers })
    .then(async (answer) => {
      for await (const _ of answer.body ?? []);
    })
    .catch(() => {});
}
const frames = await page.evaluate(
  async ([deviceIds, seconds]) => {
    let count = 0;
    const canvas = document.createElement('canvas');
    const pen = canvas.getContext('2d');
    const streams = deviceIds.map((id) => {
      const stream = new EventSource(`/api/devices/${id}/stream`);
      const points: number[] = [];
      stream.onmessage = ({ data }) => {
        const frame = JSON.parse(data);
        count += 1;
        points.push(frame.pulse.strength * frame.pulse.phase);
        if (points.length > 100) points.shift();
        pen?.clearRect(0, 0, canvas.width, canvas.height);
        pen?.beginPath();
        points.forEach((height, x) => {
          pen?.lineTo(3 * x, 100 * height);
        });
        pen?.stroke();
      };
      return stream;
    });
    await new Promise((done) => setTimeout(done, seconds * 1000));
    for (const stream of streams) stream.close();
    return count;
  },
  [ids.slice(0, 6), SECONDS] as const,
);
here.abort();
const serverShare = (cpuMs(server.pid) - serverFromMs) / (10 * SECONDS);
const pagePerSecond = ((await taskMs()) - pageFromMs) / SECONDS;
report(
  'Eight simulated limbs at 20 Hz',
  `server ${serverShare.toFixed(1)} % of one core; a page drawing six, ${(frames / SECONDS).toFixed(0)} frames/s, main thread ${pagePerSecond.toFixed(1)} ms/s (idle ${idlePerSecond.toFixed(1)} ms/s)`,
);
await browser.close();
server.stop();
