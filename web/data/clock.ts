import { type ClockSample, clockOffsetMs } from '#core/session/clock-offset';
import { api, read } from './api';

const KEPT = 'nervato-clock-offset';
const SAMPLES = 3;
const AGAIN_MS = 5 * 60_000;

// The last known offset serves while the server is away: a device's clock seldom jumps.
let offsetMs = Number(localStorage.getItem(KEPT) ?? 0) || 0;

/** Now by the server's clock, whatever this device's says (rule RUN-9). Everything of a session is stamped and shown by it. */
export const serverNow = (): number => Date.now() + offsetMs;

/** Learns the offset of this device's clock, now and every few minutes. */
export function followServerClock(): void {
  void learn();
  setInterval(() => void learn(), AGAIN_MS);
  window.addEventListener('online', () => void learn());
}

async function learn(): Promise<void> {
  const samples: ClockSample[] = [];
  try {
    for (let i = 0; i < SAMPLES; i += 1) {
      const sentMs = Date.now();
      const { nowMs } = await read(api.clock.$get());
      samples.push({ sentMs, receivedMs: Date.now(), serverMs: nowMs });
    }
  } catch {
    return;
  }
  const learnt = clockOffsetMs(samples);
  if (learnt === null) return;
  offsetMs = learnt;
  localStorage.setItem(KEPT, String(learnt));
}
