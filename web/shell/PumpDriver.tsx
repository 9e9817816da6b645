import { useQueryClient } from '@tanstack/react-query';
import { useEffect, useRef } from 'react';
import { CUFF_DOWN_MMHG } from '#core/kit';
import { pumpsGoOn } from '#core/session';
import { act, handsOf } from '../act/act';
import { serverNow } from '../data/clock';
import type { LiveSession } from '../data/live-session';
import { disconnectPump, sessionPumps } from '../devices/session-pumps';
import { onTick } from '../parts/time/ticks';
import { soundAlarm } from '../sound/tones';

const LOOK_EVERY_MS = 200;

/**
 * Writes what the pumps report into their sessions, lets them down where a cuff was released, takes the steps of cycles
 * that are theirs, and hears their loss.
 */
export function PumpDriver({ sessions }: { sessions: readonly LiveSession[] }) {
  const queries = useQueryClient();
  const latest = useRef(sessions);
  latest.current = sessions;
  useEffect(() => {
    const lost = new Set<string>();
    // By cuff and inflation: commanded to come down, and seen to be down.
    const letDown = new Set<string>();
    const settled = new Set<string>();
    // By session: the step of its cycles that its pumps were sent last.
    const commanded = new Map<string, string>();
    return onTick(LOOK_EVERY_MS, () => {
      for (const { sessionId, limb, source, pressureMmHg, lost: isLost, commandedAtMs } of sessionPumps()) {
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
        const last = state.limbs.find((candidate) => candidate.limb === limb)?.inflations.at(-1);
        if (last?.toMs != null && last.toMs >= commandedAtMs && !settled.has(`${key} ${last.fromMs}`)) {
          // Released on record, on any device: the pump follows, and until it is down it says nothing new.
          const inflation = `${key} ${last.fromMs}`;
          if (pressureMmHg < CUFF_DOWN_MMHG) settled.add(inflation);
          else if (!letDown.has(inflation)) {
            letDown.add(inflation);
            source.command({ do: 'release' });
          }
          continue;
        }
        act(queries, view, { do: 'pump-reports', limb, pressureMmHg });
      }
      for (const { view, state } of latest.current) {
        const { pumped } = handsOf(view.id);
        const step = pumped.length > 0 ? pumpsGoOn(view.plan, state, serverNow(), pumped) : null;
        if (step === null || commanded.get(view.id) === step) continue;
        commanded.set(view.id, step);
        act(queries, view, { do: 'next' });
      }
    });
  }, [queries]);
  return null;
}
