import { useQueryClient } from '@tanstack/react-query';
import { useEffect } from 'react';
import { inflatedLimbs } from '#core/session';
import { runtimeOf } from '../act/runtime';
import type { LiveSession } from '../data/live-session';
import { onTick } from '../parts/time/ticks';
import { usePace } from '../parts/time/use-pace';
import { useWakeLock } from '../parts/time/use-wake-lock';

const TICK_MS = 100;

/** Runs the open sessions whichever view is shown: the clock, the pumps, the straps, the alarms and the pace. */
export function SessionDriver({ sessions }: { sessions: readonly LiveSession[] }) {
  const queries = useQueryClient();
  useWakeLock(sessions.some(({ state }) => inflatedLimbs(state).length > 0 || state.rest !== null));
  useEffect(() => onTick(TICK_MS, runtimeOf(queries).tick), [queries]);
  usePace(() => sessions.filter((session) => isHeard(session, sessions)));
  return null;
}

/** Paces of several people at once are noise: the one in view is heard, or the only one there is. */
const isHeard = ({ id }: LiveSession, all: readonly LiveSession[]): boolean =>
  all.length === 1 || window.location.pathname === `/sessions/${id}`;
