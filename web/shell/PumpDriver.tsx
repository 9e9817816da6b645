import { useQueryClient } from '@tanstack/react-query';
import { useEffect, useRef } from 'react';
import { pumpEvents } from '#core/session/pump-events';
import { openInflation } from '#core/session/state';
import { appendNow, type LiveSession } from '../data/live-session';
import { CUFF_DOWN_MMHG } from '../devices/pressure-source';
import { disconnectPump, sessionPumps } from '../devices/session-pumps';
import { soundAlarm } from '../sound/tones';

const LOOK_EVERY_MS = 200;
/** A pump takes a moment to rise; until then it is not let down for being down on record. */
const RISE_MS = 5_000;

/** Writes what the pumps report into their sessions, lets them down where a cuff was released, and hears their loss. */
export function PumpDriver({ sessions }: { sessions: readonly LiveSession[] }) {
  const queries = useQueryClient();
  const latest = useRef(sessions);
  latest.current = sessions;
  useEffect(() => {
    const lost = new Set<string>();
    const letDown = new Set<string>();
    const timer = setInterval(() => {
      const nowMs = Date.now();
      for (const { sessionId, limb, source, pressureMmHg, lost: isLost, toldAtMs } of sessionPumps()) {
        const key = `${sessionId} ${limb}`;
        const session = latest.current.find(({ view }) => view.id === sessionId);
        if (isLost && !lost.has(key)) soundAlarm();
        if (isLost) lost.add(key);
        else lost.delete(key);
        if (!session) {
          disconnectPump(sessionId, limb);
          continue;
        }
        if (isLost || pressureMmHg === null) continue;
        const { view, state } = session;
        const open = openInflation(state.limbs.find((candidate) => candidate.limb === limb));
        if (pressureMmHg < CUFF_DOWN_MMHG) letDown.delete(key);
        // Released on record, by whoever and wherever: the pump follows.
        const released = !open && state.limbs.some((candidate) => candidate.limb === limb);
        if (released && pressureMmHg >= CUFF_DOWN_MMHG && nowMs - toldAtMs > RISE_MS && !letDown.has(key)) {
          letDown.add(key);
          source.command({ do: 'release' });
        }
        if (letDown.has(key)) continue;
        void appendNow(queries, sessionId, ...pumpEvents(view.plan, state, limb, pressureMmHg, nowMs));
      }
    }, LOOK_EVERY_MS);
    return () => clearInterval(timer);
  }, [queries]);
  return null;
}
