import { mergeLogs, type SessionEvent } from '#core/session';
import { store } from '../state/store';
import { bySession } from './by-session';

// Events this page made, found in the outbox, or heard from another tab. They are kept while the page lives, so that
// an answer of the server that was under way when an event happened cannot make it disappear.
const NONE: readonly SessionEvent[] = [];
const logs = store<ReadonlyMap<string, readonly SessionEvent[]>>(new Map());

/** Adds events to the log of their sessions; those already known change nothing. */
export function remember(events: readonly SessionEvent[]): void {
  if (events.length === 0) return;
  const grown = new Map(logs.get());
  let isNews = false;
  for (const [sessionId, part] of bySession(events)) {
    const known = grown.get(sessionId) ?? NONE;
    const merged = mergeLogs(known, part);
    if (merged.length === known.length) continue;
    grown.set(sessionId, merged);
    isNews = true;
  }
  if (isNews) logs.set(grown);
}

/** Events of one session known on this page. */
export const remembered = (sessionId: string): readonly SessionEvent[] => logs.get().get(sessionId) ?? NONE;

/** All logs of this page, by session id; renders again when one grows. */
export const useLocalLogs = logs.use;
