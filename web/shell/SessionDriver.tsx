import { useQueryClient } from '@tanstack/react-query';
import { useEffect, useRef } from 'react';
import { inflatedLimbs, limbClocks } from '#core/session';
import { serverNow } from '../data/clock';
import { appendDue, type LiveSession } from '../data/live-session';
import { onTick } from '../parts/time/ticks';
import { useWakeLock } from '../parts/time/use-wake-lock';
import { CueBook } from '../sound/cue-book';
import { cuesOf } from '../sound/cues-of';
import { soundAlarm, soundCues, soundNear } from '../sound/tones';

const TICK_MS = 100;
// Limits are minutes away: a look a second is soon enough for their alarms.
const LIMITS_EVERY_MS = 1_000;
const ALARM_EVERY_MS = 4_000;

/** Runs the open sessions whichever view is shown: sets end and begin on the clock, tones and alarms sound. */
export function SessionDriver({ sessions }: { sessions: readonly LiveSession[] }) {
  const queries = useQueryClient();
  const latest = useRef(sessions);
  latest.current = sessions;
  useWakeLock(sessions.some(({ state }) => inflatedLimbs(state).length > 0 || state.rest !== null));
  useEffect(() => {
    const book = new CueBook();
    return onTick(TICK_MS, () => {
      const nowMs = serverNow();
      for (const session of latest.current) {
        void appendDue(queries, session, nowMs);
        if (!isHeard(session, latest.current)) continue;
        const cues = book.due(session.view.id, nowMs, (fromMs, toMs) =>
          cuesOf(session.view.plan, session.state, fromMs, toMs),
        );
        soundCues(cues, nowMs);
      }
    });
  }, [queries]);
  useEffect(() => {
    let alarmedAtMs = 0;
    const near = new Set<string>();
    return onTick(LIMITS_EVERY_MS, () => {
      const nowMs = serverNow();
      const clocks = latest.current.flatMap(({ view, state }) =>
        limbClocks(view.plan, state, nowMs).map((clock) => ({ ...clock, key: `${view.id} ${clock.limb}` })),
      );
      for (const { key, alarm } of clocks) {
        if (alarm === 'soon' && !near.has(key)) soundNear();
        if (alarm === 'none') near.delete(key);
        else near.add(key);
      }
      const alarming = clocks.some(({ alarm }) => alarm === 'now');
      if (alarming && nowMs - alarmedAtMs > ALARM_EVERY_MS) {
        alarmedAtMs = nowMs;
        soundAlarm();
      }
    });
  }, []);
  return null;
}

/** Paces of several people at once are noise: the one in view is heard, or the only one there is. */
const isHeard = ({ view }: LiveSession, all: readonly LiveSession[]): boolean =>
  all.length === 1 || window.location.pathname === `/sessions/${view.id}`;
