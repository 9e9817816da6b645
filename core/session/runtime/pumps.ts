import { CUFF_DOWN_MMHG } from '../../kit/pump';
import type { Limb } from '../../quantity/limb';
import type { Hands, Intent } from '../decide/intent';
import { pumpsGoOn } from '../decide/pumps-go-on';
import type { KnownSession, Ports, PumpReading } from './ports';

/** Cuffs of a session whose regulated pump is there. */
export const handsOf = (readings: readonly PumpReading[], id: string): Hands => ({
  pumped: readings.flatMap(({ sessionId, limb, isRegulated, isLost }): Limb[] =>
    sessionId === id && isRegulated && !isLost ? [limb] : [],
  ),
});

/**
 * What pumps bring about: what they report goes into their sessions, they come down where a cuff was released on any device, and take
 * the steps of cycles that are theirs.
 */
export function pumpWork<S extends KnownSession>(
  { log, pumps, alarm }: Pick<Ports<S>, 'log' | 'pumps' | 'alarm'>,
  act: (session: S, intent: Intent) => void,
): (nowMs: number) => void {
  const lost = new Set<string>();
  // By cuff and inflation: commanded to come down, and seen to be down.
  const letDown = new Set<string>();
  const settled = new Set<string>();
  // By session: the step of its cycles that its pumps were sent last.
  const commanded = new Map<string, string>();

  const hearLoss = (key: string, { isLost }: PumpReading) => {
    if (isLost && !lost.has(key)) alarm('now');
    if (isLost) lost.add(key);
    else lost.delete(key);
  };
  /** Whether a pump follows a release: until it is down it says nothing new. */
  const follows = (
    key: string,
    { sessionId, limb, commandedAtMs }: PumpReading,
    { state }: S,
    pressureMmHg: number,
    nowMs: number,
  ): boolean => {
    const last = state.limbs.find((candidate) => candidate.limb === limb)?.inflations.at(-1);
    if (last?.toMs == null || last.toMs < commandedAtMs) return false;
    const inflation = `${key} ${last.fromMs}`;
    if (settled.has(inflation)) return false;
    if (pressureMmHg < CUFF_DOWN_MMHG) settled.add(inflation);
    else if (!letDown.has(inflation)) {
      letDown.add(inflation);
      pumps.command(sessionId, { do: 'deflate', limb }, nowMs);
    }
    return true;
  };

  return (nowMs) => {
    const readings = pumps.readings();
    if (readings.length === 0) return;
    for (const reading of readings) {
      const { sessionId, limb, pressureMmHg, isLost } = reading;
      const key = `${sessionId} ${limb}`;
      const session = log.open().find(({ id }) => id === sessionId);
      hearLoss(key, reading);
      if (!session) pumps.disconnect(sessionId, limb);
      else if (!isLost && pressureMmHg !== null && !follows(key, reading, session, pressureMmHg, nowMs))
        act(session, { do: 'pump-reports', limb, pressureMmHg });
    }
    for (const session of log.open()) {
      const { pumped } = handsOf(readings, session.id);
      const step = pumped.length > 0 ? pumpsGoOn(session.plan, session.state, nowMs, pumped) : null;
      if (step === null || commanded.get(session.id) === step) continue;
      commanded.set(session.id, step);
      act(session, { do: 'next' });
    }
  };
}
