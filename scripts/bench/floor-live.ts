import { randomUUID } from 'node:crypto';
import { gzipSync } from 'node:zlib';
import { chromium } from '@playwright/test';
import type { ClientRecord } from '#contract/client';
import type { SessionView } from '#contract/session';
import { draftSession } from '#core/plan';
import { basisOf } from '#core/record';
import type { EventBody } from '#core/session';
import { AGREED } from '#demo/agreed';
import { CUFFS, DEMO_OWNER, WEIGHT_KITS } from '#demo/practice';
import { signInAt } from '#server/access/sign-in-at';
import { CHROMIUM_LAUNCH } from '../../tests/chromium';
import { startDemoServer } from './demo-server';
import { percentiles, report } from './report';
import { signedIn } from './signed-in';

// Eight sessions at once: the main thread of the page that shows the floor, the time from Space to paint on the live
// bench, and how long an event takes from one device to another.

const PEOPLE = 8;
const SECONDS = 10;
/** Events in each log: as many as a pump that reports leaves in a quarter of an hour. */
const EVENTS = 1_000;
const TRIAL = { goneMmHg: 180, upMmHg: 10, backMmHg: 172, downMmHg: 4 };
const CALM = { systolicMmHg: 122, diastolicMmHg: 76 };

const server = await startDemoServer();
const headers = { 'content-type': 'application/json', ...(await signInAt(server.address, DEMO_OWNER)) };
async function post<T>(path: string, body: unknown): Promise<T> {
  const answer = await fetch(`${server.address}/api${path}`, {
    method: 'POST',
    headers,
    body: JSON.stringify(body),
  });
  if (!answer.ok) throw new Error(`${path}: ${await answer.text()}`);
  return answer.json() as Promise<T>;
}
async function openFor(name: string): Promise<SessionView> {
  const { id } = await post<ClientRecord>('/clients', { name });
  await post(`/clients/${id}/screenings`, { yes: [], bloodPressures: [CALM, CALM], note: '' });
  await post(`/clients/${id}/fits`, { kind: 'cuff', limb: 'left-thigh', girthCm: 55, cuffId: 'thigh-l' });
  await post(`/clients/${id}/occlusion-pressures`, {
    limb: 'left-thigh',
    position: 'sitting',
    method: 'doppler',
    site: 'posterior-tibial',
    pumpId: 'hand-pump',
    readingSchool: 'bracket',
    trials: [TRIAL, TRIAL],
  });
  const record = await post<ClientRecord>(`/clients/${id}/strength-tests`, {
    exerciseId: 'knee-extension',
    side: 'left',
    loadKg: 30,
    reps: 8,
  });
  const { session } = draftSession(
    {
      goal: 'size',
      schoolId: 'research-consensus',
      limbs: ['left-thigh'],
      together: false,
      rung: 'loaded',
      newcomer: false,
      isolatedOnly: false,
      carried: [],
      lowered: new Map(),
    },
    basisOf(record.facts, { cuffs: CUFFS, weightKits: WEIGHT_KITS }, 'clinician', record.judgedAtMs),
  );
  const signed = await post<ClientRecord>(`/clients/${id}/prescriptions`, {
    ...session,
    signedFor: { kind: 'new-plan', name: 'Left thigh', occasion: { kind: 'any-day' }, untilMs: null },
  });
  await post(`/clients/${id}/consents`, AGREED);
  await post(`/clients/${id}/day-checks`, { notWell: [], painNow: 0, bloodPressure: null });
  return post('/sessions', { id: randomUUID(), prescriptionId: signed.facts.prescriptions[0]?.id });
}

const seqs = new Map<string, number>();
const append = (sessionId: string, ...bodies: EventBody[]) =>
  post(`/sessions/${sessionId}/events`, {
    events: bodies.map((body) => {
      const seq = (seqs.get(sessionId) ?? 0) + 1;
      seqs.set(sessionId, seq);
      return { ...body, id: randomUUID(), sessionId, deviceId: 'bench', seq, atMs: Date.now() };
    }),
  });

const sessions: SessionView[] = [];
for (let person = 1; person <= PEOPLE; person += 1) sessions.push(await openFor(`Bench Person ${person}`));
const place = { exerciseIndex: 0, setIndex: 0 };
for (const { id } of sessions) {
  await append(
    id,
    { type: 'session-started' },
    { type: 'cuff-inflated', limb: 'left-thigh', pressureMmHg: 104 },
    { type: 'set-started', ...place },
  );
}

const READ: EventBody = { type: 'pressure-read', limb: 'left-thigh', pressureMmHg: 102, cause: 'read' };
const addReadings = async (count: number) => {
  for (const { id } of sessions) await append(id, ...Array.from({ length: count }, () => READ));
};
await addReadings(297);
await openSessions();
await addReadings(350);
await addReadings(350);

/** All open sessions with their logs, as a device asks for them when it comes back. */
async function openSessions(): Promise<void> {
  const ask = async () => (await fetch(`${server.address}/api/sessions/open`, { headers })).text();
  const timesMs: number[] = [];
  for (let i = 0; i < 30; i += 1) {
    const startMs = performance.now();
    await ask();
    timesMs.push(performance.now() - startMs);
  }
  const { headers: answered } = await fetch(`${server.address}/api/sessions/open`, { headers });
  const text = await ask();
  report(
    `Open sessions, ${PEOPLE} × 300 events`,
    `${percentiles(timesMs)}, ${(text.length / 1000).toFixed(0)} kB, ${answered.get('content-encoding') ?? 'not compressed'} to ${(gzipSync(text).length / 1000).toFixed(0)} kB`,
    '≤ 20 ms, compressed',
  );
}

const browser = await chromium.launch(CHROMIUM_LAUNCH);
const page = await (await signedIn(browser, server.address)).newPage();
await page.addInitScript('globalThis.__name = (named) => named');
await page.goto(`${server.address}/floor`);
await page.getByText('Bench Person 8').first().waitFor();
const devtools = await page.context().newCDPSession(page);
await devtools.send('Performance.enable');
const taskMs = async (): Promise<number> => {
  const { metrics } = await devtools.send('Performance.getMetrics');
  return 1000 * (metrics.find(({ name }) => name === 'TaskDuration')?.value ?? 0);
};
await page.waitForTimeout(2_000);
const fromMs = await taskMs();
await page.waitForTimeout(SECONDS * 1000);
const perSecond = ((await taskMs()) - fromMs) / SECONDS;
report(
  `Floor, ${PEOPLE} live with ${EVENTS} events each`,
  `main thread ${perSecond.toFixed(1)} ms/s`,
  '≤ 30 ms/s',
);

await page.goto(`${server.address}/sessions/${sessions[0]?.id}`);
await page.getByRole('button', { name: 'End the set here' }).waitFor();
await page.evaluate(() => {
  const timesMs: number[] = [];
  (window as unknown as { timesMs: number[] }).timesMs = timesMs;
  window.addEventListener(
    'keydown',
    ({ timeStamp }) => {
      // The frame after the key, and then the task after that frame was painted.
      requestAnimationFrame(() => setTimeout(() => timesMs.push(performance.now() - timeStamp)));
    },
    true,
  );
});
for (let press = 0; press < 8; press += 1) {
  await page.keyboard.press('Space');
  await page.waitForTimeout(400);
}
const paints = await page.evaluate(() => (window as unknown as { timesMs: number[] }).timesMs);
report(`Space to paint, ${EVENTS} events`, percentiles(paints), '≤ 35 ms p50, ≤ 60 ms p95');

const other = await (await signedIn(browser, server.address)).newPage();
await other.addInitScript('globalThis.__name = (named) => named');
await other.goto(`${server.address}/kit`);
await other.evaluate(() => {
  const heard: Record<string, number> = {};
  (window as unknown as { heard: Record<string, number> }).heard = heard;
  const feed = new EventSource('/api/feed');
  feed.onmessage = ({ data }) => {
    for (const { id } of JSON.parse(data).events ?? []) heard[id] = Date.now();
  };
  return new Promise((done) => feed.addEventListener('ready', done, { once: true }));
});
const sent = new Map<string, number>();
for (let i = 0; i < 60; i += 1) {
  const session = sessions[1 + (i % (PEOPLE - 1))];
  if (!session) continue;
  const id = randomUUID();
  const seq = (seqs.get(session.id) ?? 0) + 1;
  seqs.set(session.id, seq);
  const atMs = Date.now();
  const event = { type: 'pressure-read', limb: 'left-thigh', pressureMmHg: 100 + (i % 5), cause: 'read' };
  sent.set(id, atMs);
  await post(`/sessions/${session.id}/events`, {
    events: [{ ...event, id, sessionId: session.id, deviceId: 'bench', seq, atMs }],
  });
}
await other.waitForTimeout(500);
const heard = await other.evaluate(() => (window as unknown as { heard: Record<string, number> }).heard);
const delays = [...sent].flatMap(([id, atMs]) => (heard[id] === undefined ? [] : [heard[id] - atMs]));
report('From one device to another', `${delays.length} of ${sent.size} heard, ${percentiles(delays)}`);
await browser.close();
server.stop();
