import type { NewDevice } from '#contract/device';
import type { Limb } from '#core/quantity';
import { store } from '../state/store';
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
  /** When it was last commanded to inflate, wall clock; a release before that is no reason to come down. */
  commandedAtMs: number;
};

const pumps = store<readonly SessionPump[]>([]);

const isOf = (sessionId: string, limb: Limb) => (pump: SessionPump) =>
  pump.sessionId === sessionId && pump.limb === limb;

export const sessionPumps = pumps.get;
export const useSessionPumps = pumps.use;
export const pumpOf = (sessionId: string, limb: Limb): SessionPump | undefined =>
  pumps.get().find(isOf(sessionId, limb));

function replace(known: SessionPump, part: Partial<SessionPump>): void {
  pumps.set(pumps.get().map((pump) => (pump === known ? { ...pump, ...part } : pump)));
}

/** Connects a simulated pump of the server to a cuff. @throws as `read` does */
export async function connectPump(sessionId: string, device: NewDevice): Promise<void> {
  const { limb } = device;
  const source = await serverSource(device);
  disconnectPump(sessionId, limb);
  pumps.set([...pumps.get(), { sessionId, limb, source, pressureMmHg: null, lost: false, commandedAtMs: 0 }]);
  source.subscribe((frame) => {
    const known = pumpOf(sessionId, limb);
    if (known?.source !== source) return;
    // Before the first frame nothing has been lost yet.
    const lost = frame === null && known.pressureMmHg !== null;
    const pressureMmHg = frame ? frame.pressureMmHg : known.pressureMmHg;
    if (known.lost === lost && known.pressureMmHg === pressureMmHg) return;
    replace(known, { pressureMmHg, lost });
  });
}

/** Lets a cuff down and goes on by hand. */
export function disconnectPump(sessionId: string, limb: Limb): void {
  const known = pumpOf(sessionId, limb);
  if (!known) return;
  known.source.command({ do: 'release' });
  known.source.close();
  pumps.set(pumps.get().filter((pump) => pump !== known));
}

/** Commands the pump of a cuff, if it has one, to deflate it. */
export function deflatePump(sessionId: string, limb: Limb): void {
  pumpOf(sessionId, limb)?.source.command({ do: 'release' });
}

/** Brings a regulated pump to a pressure. @returns false where there is none, and it is inflated by hand */
export function inflateByPump(sessionId: string, limb: Limb, pressureMmHg: number, nowMs: number): boolean {
  const known = pumpOf(sessionId, limb);
  if (known?.source.kind !== 'regulated' || known.lost) return false;
  replace(known, { commandedAtMs: nowMs });
  known.source.command({ do: 'inflate-to', pressureMmHg });
  return true;
}
