import { mkdtempSync, rmSync } from 'node:fs';
import { Agent, request } from 'node:http';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import Database from 'libsql';
import { v4 as newId } from 'uuid';
import type { PeoplePage } from '#contract/client';
import type { SessionEvent } from '#core/session';
import { DEMO_OWNER } from '#demo/practice';
import { signInAt } from '#server/access/sign-in-at';
import { startDemoServer } from './demo-server';
import { report } from './report';

// Events appended through the HTTP API, against the same rows inserted by a raw prepared statement with the same
// SQLite settings, one transaction a batch.

const ROUNDS = 1_000;
const folder = mkdtempSync(join(tmpdir(), 'nervato-bench-'));
const server = await startDemoServer();
const headers = { 'content-type': 'application/json', ...(await signInAt(server.address, DEMO_OWNER)) };
const ask = async <T>(path: string, body?: unknown): Promise<T> => {
  const answer = await fetch(`${server.address}/api${path}`, {
    method: body ? 'POST' : 'GET',
    headers,
    ...(body ? { body: JSON.stringify(body) } : {}),
  });
  if (!answer.ok) throw new Error(await answer.text());
  return (await answer.json()) as T;
};
const ready = (await ask<PeoplePage>('/clients')).people.find(({ name }) => name === 'Odalys Ferrant');
const record = await ask<{ facts: { prescriptions: { id: string; atMs: number }[] } }>(
  `/clients/${ready?.id}`,
);
const newest = record.facts.prescriptions.sort((a, b) => b.atMs - a.atMs)[0];
const sessionId = newId();
await ask('/sessions', { id: sessionId, prescriptionId: newest?.id });

let seq = 0;
const makeEvents = (count: number): SessionEvent[] =>
  Array.from({ length: count }, () => {
    seq += 1;
    return {
      id: newId(),
      sessionId,
      deviceId: 'bench',
      seq,
      atMs: Date.now(),
      type: 'pressure-read',
      limb: 'left-thigh',
      pressureMmHg: 86,
      cause: 'read',
    };
  });

const agent = new Agent({ keepAlive: true, maxSockets: 1 });
const post = (body: string): Promise<number> =>
  new Promise((done, fail) => {
    const asked = request(
      `${server.address}/api/sessions/${sessionId}/events`,
      { method: 'POST', agent, headers: { ...headers, 'content-length': Buffer.byteLength(body) } },
      (answer) => answer.resume().once('end', () => done(answer.statusCode ?? 0)),
    );
    asked.once('error', fail).end(body);
  });

/** Events a second from one device that posts the next when the last is answered, once the server is warm. */
async function throughApi(batch: number): Promise<number> {
  const round = async () => {
    const status = await post(JSON.stringify({ events: makeEvents(batch) }));
    if (status !== 200) throw new Error(`A post was answered with ${status}.`);
  };
  for (let i = 0; i < ROUNDS / 2; i += 1) await round();
  const startMs = performance.now();
  for (let i = 0; i < ROUNDS; i += 1) await round();
  return (ROUNDS * batch * 1000) / (performance.now() - startMs);
}

function raw(batch: number): number {
  const db = new Database(join(folder, `raw-${batch}.sqlite`));
  db.exec('pragma journal_mode = wal; pragma synchronous = full;');
  db.exec(`create table session_event (
    id text primary key, session_id text not null, device_id text not null, seq integer not null,
    at_ms integer not null, type text not null, event text not null, received_at_ms integer not null,
    practitioner_id text not null, unique (session_id, device_id, seq)) strict`);
  const insert = db.prepare(
    'insert into session_event values (?, ?, ?, ?, ?, ?, ?, ?, ?) on conflict (id) do nothing',
  );
  const startMs = performance.now();
  for (let round = 0; round < ROUNDS; round += 1) {
    db.exec('begin');
    for (const event of makeEvents(batch)) {
      insert.run(
        event.id,
        event.sessionId,
        event.deviceId,
        event.seq,
        event.atMs,
        event.type,
        JSON.stringify(event),
        Date.now(),
        'ines',
      );
    }
    db.exec('commit');
  }
  const seconds = (performance.now() - startMs) / 1000;
  db.close();
  return (ROUNDS * batch) / seconds;
}

for (const batch of [1, 50]) {
  const api = await throughApi(batch);
  const statements = raw(batch);
  report(
    `Events appended, ${batch} a post`,
    `${api.toFixed(0)} a second; raw SQLite ${statements.toFixed(0)} (${(api / statements).toFixed(2)} ×)`,
    batch === 1 ? '≥ 0.2 ×' : '≥ 0.4 ×',
  );
}
server.stop();
rmSync(folder, { recursive: true });
