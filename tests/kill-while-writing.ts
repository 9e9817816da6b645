import { v4 as newId } from 'uuid';
import type { ClientRecord, PeoplePage } from '#contract/client';
import type { SessionView } from '#contract/session';
import { DEMO_OWNER } from '#demo/practice';
import { signInAt } from '#server/access/sign-in-at';
import type { Nervato } from './nervato';

export type Kills = { acknowledged: number; lost: number; slowestStartMs: number };

/** So long a round goes on writing after its first acknowledged event before the server is ended, at random. */
const MOST_MS = 120;

/**
 * Writes events one after the other, and ends the server with SIGKILL at a random moment, over and over; then looks
 * whether everything that was acknowledged is on record.
 */
export async function killWhileWriting(nervato: Nervato, times: number, sessionId: string): Promise<Kills> {
  const signedIn = await signInAt(nervato.address, DEMO_OWNER);
  const ask = async <T>(path: string, body?: unknown): Promise<T> => {
    const answer = await fetch(`${nervato.address}/api${path}`, {
      method: body === undefined ? 'GET' : 'POST',
      headers: { 'content-type': 'application/json', ...signedIn },
      ...(body === undefined ? {} : { body: JSON.stringify(body) }),
    });
    if (!answer.ok) throw new Error(`${path}: ${await answer.text()}`);
    return answer.json() as Promise<T>;
  };
  const { people } = await ask<PeoplePage>('/clients?search=odalys');
  const { id, facts } = await ask<ClientRecord>(`/clients/${people[0]?.id}`);
  await ask(`/clients/${id}/day-checks`, { notWell: [], painNow: 0, bloodPressure: null });
  await ask('/sessions', { id: sessionId, prescriptionId: facts.prescriptions[0]?.id });

  const acknowledged: string[] = [];
  let seq = 0;
  let slowestStartMs = 0;
  for (let round = 0; round < times; round += 1) {
    let isWriting = true;
    // A machine with much else to do may take longer over the first event than any time chosen beforehand.
    let sayUnderWay = (): void => undefined;
    const underWay = new Promise<void>((say) => {
      sayUnderWay = say;
    });
    const writing = (async () => {
      while (isWriting) {
        seq += 1;
        const event = {
          id: newId(),
          sessionId,
          deviceId: 'kills',
          seq,
          atMs: Date.now(),
          type: 'pressure-read',
          limb: 'left-thigh',
          pressureMmHg: 80,
          cause: 'read',
        };
        const taken = await ask<{ accepted: string[] }>(`/sessions/${sessionId}/events`, {
          events: [event],
        }).catch(() => null);
        if (!taken) return;
        acknowledged.push(...taken.accepted);
        sayUnderWay();
      }
    })();
    await Promise.race([underWay, writing]);
    await new Promise((done) => setTimeout(done, Math.random() * MOST_MS));
    await nervato.kill();
    isWriting = false;
    await writing;
    const startedMs = performance.now();
    await nervato.startServer();
    slowestStartMs = Math.max(slowestStartMs, performance.now() - startedMs);
  }
  const { events } = await ask<SessionView>(`/sessions/${sessionId}`);
  const kept = new Set(events.map((event) => event.id));
  return {
    acknowledged: acknowledged.length,
    lost: acknowledged.filter((event) => !kept.has(event)).length,
    slowestStartMs,
  };
}
