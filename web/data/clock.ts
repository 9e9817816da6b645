import { type ClockSample, clockOffsetMs } from '#core/session';
import { store } from '../state/store';
import { api, read } from './api';

const KEPT = 'nervato-clock-offset';
const SAMPLES = 3;
const AGAIN_MS = 5 * 60_000;

// The last known offset serves while the server is away: a device's clock seldom jumps.
let offsetMs = Number(localStorage.getItem(KEPT) ?? 0) || 0;

/** Now by the server's clock, whatever this device's says (rule RUN-9). Everything of a session is stamped and shown by it. */
export const serverNow = (): number => Date.now() + offsetMs;

/** Whether the practice's clock can be moved on: in a demonstration only. */
export const clockMoves = store(false);

/** Moves a demonstration's clock on, and reads it again. @throws what the server refuses */
export async function moveClockOn(days: number): Promise<void> {
  await read(api.clock.forward.$post({ json: { days } }));
  await learnClock();
}

/** Learns the offset of this device's clock, now and every few minutes. */
export function followServerClock(): void {
  void learnClock();
  setInterval(() => void learnClock(), AGAIN_MS);
  window.addEventListener('online', () => void learnClock());
}

/** Learns it now. */
export async function learnClock(): Promise<void> {
  const samples: ClockSample[] = [];
  try {
    for (let i = 0; i < SAMPLES; i += 1) {
      const sentMs = Date.now();
      const { nowMs, canMove } = await read(api.clock.$get());
      samples.push({ sentMs, receivedMs: Date.now(), serverMs: nowMs });
      clockMoves.set(canMove);
    }
  } catch {
    return;
  }
  learnFrom(samples);
}

/** Takes the offset from times that the server has sent. */
export function learnFrom(samples: readonly ClockSample[]): void {
  const learnt = clockOffsetMs(samples);
  if (learnt === null) return;
  offsetMs = learnt;
  localStorage.setItem(KEPT, String(learnt));
}
