import { useSyncExternalStore } from 'react';
import type { NewDevice } from '#contract/device';
import type { Limb } from '#core/quantity/limb';
import type { PressureSource } from './pressure-source';
import { serverSource } from './server-source';

/** A pump that inflates one cuff of one session. It lives as long as the page, whichever view is shown. */
export type SessionPump = {
  sessionId: string;
  limb: Limb;
  source: PressureSource;
  /** The last that was reported; null before the first frame and while the stream is lost. */
  pressureMmHg: number | null;
  lost: boolean;
  /** When it was last told to inflate, wall clock; a release before that is no reason to come down. */
  toldAtMs: number;
};

let pumps: readonly SessionPump[] = [];
const listeners = new Set<() => void>();
function set(next: readonly SessionPump[]): void {
  pumps = next;
  for (const listener of listeners) listener();
}

const isOf = (sessionId: string, limb: Limb) => (pump: SessionPump) =>
  pump.sessionId === sessionId && pump.limb === limb;

export const sessionPumps = (): readonly SessionPump[] => pumps;
export const pumpOf = (sessionId: string, limb: Limb): SessionPump | undefined =>
  pumps.find(isOf(sessionId, limb));

export const useSessionPumps = (): readonly SessionPump[] =>
  useSyncExternalStore((listener) => {
    listeners.add(listener);
    return () => listeners.delete(listener);
  }, sessionPumps);

/** Connects a simulated pump of the server to a cuff. @throws as `read` does */
export async function connectPump(sessionId: string, device: NewDevice): Promise<void> {
  const { limb } = device;
  const source = await serverSource(device);
  disconnectPump(sessionId, limb);
  set([...pumps, { sessionId, limb, source, pressureMmHg: null, lost: false, toldAtMs: 0 }]);
  source.subscribe((frame) => {
    const known = pumpOf(sessionId, limb);
    if (known?.source !== source) return;
    // Before the first frame nothing has been lost yet.
    const lost = frame === null && known.pressureMmHg !== null;
    const pressureMmHg = frame ? frame.pressureMmHg : known.pressureMmHg;
    if (known.lost === lost && known.pressureMmHg === pressureMmHg) return;
    set(pumps.map((pump) => (pump === known ? { ...pump, pressureMmHg, lost } : pump)));
  });
}

/** Lets a cuff down and goes on by hand. */
export function disconnectPump(sessionId: string, limb: Limb): void {
  const known = pumpOf(sessionId, limb);
  if (!known) return;
  known.source.command({ do: 'release' });
  known.source.close();
  set(pumps.filter((pump) => pump !== known));
}

/** Brings a regulated pump to a pressure. @returns false where there is none, and somebody inflates by hand */
export function inflateByPump(sessionId: string, limb: Limb, pressureMmHg: number, nowMs: number): boolean {
  const known = pumpOf(sessionId, limb);
  if (known?.source.kind !== 'regulated' || known.lost) return false;
  set(pumps.map((pump) => (pump === known ? { ...pump, toldAtMs: nowMs } : pump)));
  known.source.command({ do: 'inflate-to', pressureMmHg });
  return true;
}
