import { useQueryClient } from '@tanstack/react-query';
import { useEffect, useRef } from 'react';
import { heartRateDue } from '#core/session';
import { act } from '../act/act';
import { serverNow } from '../data/clock';
import type { LiveSession } from '../data/live-session';
import { sessionStraps, takeOffStrap } from '../devices/session-straps';
import { onTick } from '../parts/time/ticks';

const LOOK_EVERY_MS = 1_000;

/** Notes the heart rate that is due where a strap is worn, and takes off the straps of sessions that are over. */
export function StrapDriver({ sessions }: { sessions: readonly LiveSession[] }) {
  const queries = useQueryClient();
  const latest = useRef(sessions);
  latest.current = sessions;
  useEffect(
    () =>
      onTick(LOOK_EVERY_MS, () => {
        for (const { sessionId, beatsPerMinute } of sessionStraps()) {
          const session = latest.current.find(({ view }) => view.id === sessionId);
          if (!session) {
            takeOffStrap(sessionId);
            continue;
          }
          const moment = heartRateDue(session.view.plan, session.state, serverNow());
          if (moment === null || beatsPerMinute === null) continue;
          act(queries, session.view, { do: 'note-heart-rate', moment, beatsPerMinute });
        }
      }),
    [queries],
  );
  return null;
}
