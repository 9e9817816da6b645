import type { SessionEvent } from '#core/session';

/** Events grouped by the session they belong to, each group in the order given. */
export function bySession(events: readonly SessionEvent[]): Map<string, SessionEvent[]> {
  const groups = new Map<string, SessionEvent[]>();
  for (const event of events) groups.set(event.sessionId, [...(groups.get(event.sessionId) ?? []), event]);
  return groups;
}
