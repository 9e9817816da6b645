import { useEffect, useRef } from 'react';
import type { KnownSession } from '#core/session';
import { serverNow } from '../../data/clock';
import { CueBook } from '../../sound/cue-book';
import { cuesOf } from '../../sound/cues-of';
import { soundCues } from '../../sound/tones';
import { onTick } from './ticks';

const TICK_MS = 100;

/** Sounds the pace of sets, and the ticks before them, of the sessions that are heard here. */
export function usePace(heard: () => readonly KnownSession[]): void {
  const latest = useRef(heard);
  latest.current = heard;
  useEffect(() => {
    const book = new CueBook();
    return onTick(TICK_MS, () => {
      const nowMs = serverNow();
      for (const { id, plan, state } of latest.current())
        soundCues(
          book.due(id, nowMs, (fromMs, toMs) => cuesOf(plan, state, fromMs, toMs)),
          nowMs,
        );
    });
  }, []);
}
