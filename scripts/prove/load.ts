import { Agent, request } from 'node:http';
import { parseArgs } from 'node:util';
import { v4 as newId } from 'uuid';
import type { ClientRecord, PeoplePage } from '#contract/client';
import { DEMO_OWNER } from '#demo/practice';
import { signInAt } from '#server/access/sign-in-at';
import { startDemoServer } from '../bench/demo-server';

// `npm run prove:load [-- --minutes 10]`: 500 connections that are kept open, and 50 posts of events a second, on loopback. It
// stops by itself.
const { values } = parseArgs({ options: { minutes: { type: 'string', default: '10' } } });
const LASTS_MS = Number(values.minutes) * 60_000;
const CONNECTIONS = 500;
const A_SECOND = 50;
const MOST_P99_MS = 250;

const server = await startDemoServer();
const headers = { 'content-type': 'application/json', ...(await signInAt(server.address, DEMO_OWNER)) };
const ask = async <T>(path: string, body?: unknown): Promise<T> => {
  const answer = await fetch(`${server.address}/api${path}`, {
    method: body === undefined ? 'GET' : 'POST',
    headers,
    ...(body === undefined ? {} : { body: JSON.stringify(body) }),
  });
  if (!answer.ok) throw new Error(`${path}: ${await answer.text()}`);
  return answer.json() as Promise<T>;
};
const { people } = await ask<PeoplePage>('/clients?search=odalys');
const { id, facts } = await ask<ClientRecord>(`/clients/${people[0]?.id}`);
await ask(`/clients/${id}/day-checks`, { notWell: [], painNow: 0, bloodPressure: null });
const sessionId = newId();
await ask('/sessions', { id: sessionId, prescriptionId: facts.prescriptions[0]?.id });

// Every connection asks something small now and then, so that none is closed for being idle.
const idle = new Agent({ keepAlive: true, maxSockets: CONNECTIONS });
const keepOpen = () =>
  new Promise<void>((done) => {
    request(`${server.address}/api/health`, { agent: idle }, (answer) => answer.resume().once('end', done))
      .once('error', () => done())
      .end();
  });
let isOver = false;
const held = Array.from({ length: CONNECTIONS }, async (_, place) => {
  await new Promise((done) => setTimeout(done, place * 4));
  while (!isOver) {
    await keepOpen();
    await new Promise((done) => setTimeout(done, 3_000));
  }
});

const posting = new Agent({ keepAlive: true, maxSockets: 32 });
const tookMs: number[] = [];
const ended = new Map<number, number>();
let seq = 0;
const post = () =>
  new Promise<void>((done) => {
    seq += 1;
    const body = JSON.stringify({
      events: [
        {
          id: newId(),
          sessionId,
          deviceId: 'load',
          seq,
          atMs: Date.now(),
          type: 'pressure-read',
          limb: 'left-thigh',
          pressureMmHg: 80,
          cause: 'read',
        },
      ],
    });
    const startMs = performance.now();
    request(
      `${server.address}/api/sessions/${sessionId}/events`,
      { method: 'POST', agent: posting, headers: { ...headers, 'content-length': Buffer.byteLength(body) } },
      (answer) => {
        answer.resume().once('end', () => {
          tookMs.push(performance.now() - startMs);
          ended.set(answer.statusCode ?? 0, (ended.get(answer.statusCode ?? 0) ?? 0) + 1);
          done();
        });
      },
    )
      .once('error', () => {
        ended.set(0, (ended.get(0) ?? 0) + 1);
        done();
      })
      .end(body);
  });
const posts: Promise<void>[] = [];
const untilMs = Date.now() + LASTS_MS;
await new Promise<void>((done) => {
  const timer = setInterval(() => {
    if (Date.now() < untilMs) return void posts.push(post());
    clearInterval(timer);
    done();
  }, 1_000 / A_SECOND);
});
await Promise.all(posts);
isOver = true;
const memoryMb = server.residentBytes() / 1_000_000;
await Promise.all(held);
tookMs.sort((a, b) => a - b);
const p99 = tookMs[Math.floor(tookMs.length * 0.99)] ?? Number.NaN;
console.log(
  `${CONNECTIONS} connections, ${tookMs.length} posts in ${values.minutes} min: p50 ${tookMs[Math.floor(tookMs.length / 2)]?.toFixed(1)} ms, ` +
    `p99 ${p99.toFixed(1)} ms (at most ${MOST_P99_MS}), answers ${JSON.stringify([...ended])}, server ${memoryMb.toFixed(0)} MB`,
);
server.stop();
process.exit(p99 <= MOST_P99_MS && ended.size === 1 ? 0 : 1);
