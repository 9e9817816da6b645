import type { SessionEvent } from '#core/session';

/**
 * Events that a device says happened before the session was opened: its clock was behind, or set back. They keep their distances
 * in the device's sequence, the last of them happened when it was received, and each says what the device said (rule RUN-9).
 * @param knownIds events that are on record already stay as they are
 */
export function timeByReceipt(
  events: readonly SessionEvent[],
  knownIds: ReadonlySet<string>,
  openedAtMs: number,
  nowMs: number,
): SessionEvent[] {
  // Only the server says what it did with a time.
  const said = events.map(({ saidAtMs: _, ...event }) => event as SessionEvent);
  const isEarly = ({ id, atMs }: SessionEvent) => atMs < openedAtMs && !knownIds.has(id);
  const lastMs = Math.max(...said.filter(isEarly).map(({ atMs }) => atMs));
  return said.map((event) =>
    isEarly(event)
      ? { ...event, atMs: Math.max(openedAtMs, event.atMs + nowMs - lastMs), saidAtMs: event.atMs }
      : event,
  );
}

/** An event as its device has it, whatever the server did with its time. */
export const asSaid = ({ saidAtMs, ...event }: SessionEvent): SessionEvent =>
  ({ ...event, atMs: saidAtMs ?? event.atMs }) as SessionEvent;
