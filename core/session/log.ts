import { EVENTS, type SessionEvent, type SessionEventType } from './events';

declare const sorted: unique symbol;

/** Events of one session, each once, in the one order every device agrees on. Made by `mergeLogs` alone. */
export type Log = readonly SessionEvent[] & { readonly [sorted]: true };

const RANK = Object.fromEntries(Object.keys(EVENTS).map((type, rank) => [type, rank])) as Record<
  SessionEventType,
  number
>;

function compareEvents(a: SessionEvent, b: SessionEvent): number {
  return (
    a.atMs - b.atMs ||
    RANK[a.type] - RANK[b.type] ||
    (a.deviceId < b.deviceId ? -1 : a.deviceId > b.deviceId ? 1 : 0) ||
    a.seq - b.seq ||
    (a.id < b.id ? -1 : a.id > b.id ? 1 : 0)
  );
}

/** One log from any number of parts: each id once, in the one order every device agrees on. */
export function mergeLogs(...parts: readonly (readonly SessionEvent[])[]): Log {
  const byId = new Map<string, SessionEvent>();
  for (const part of parts) for (const event of part) if (!byId.has(event.id)) byId.set(event.id, event);
  return [...byId.values()].sort(compareEvents) as readonly SessionEvent[] as Log;
}
