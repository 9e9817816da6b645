import type { EventBody, SessionEvent } from './events';
import type { STAMP } from './events/define';

/** What an event carries beside what it says; `atMs` by the server's clock. */
export type Stamp = Pick<SessionEvent, 'id' | 'sessionId' | 'deviceId' | 'seq' | 'atMs'> &
  Partial<Pick<SessionEvent, keyof typeof STAMP>>;

/** An event of a log: what happened, with its stamp. The one place where the two become one. */
export const stamped = (body: EventBody, stamp: Stamp): SessionEvent =>
  ({ ...body, ...stamp }) as SessionEvent;

/**
 * The log of a session that was not run here but is written down as a whole: on paper, at another place, in a simulation.
 * Its sequence is its order.
 * @param events what happened, and when by the server's clock
 * @param idOf an id for each place in the log, always the same one
 */
export const stampedLog = (
  { sessionId, deviceId }: Pick<Stamp, 'sessionId' | 'deviceId'>,
  events: readonly { atMs: number; body: EventBody }[],
  idOf: (seq: number) => string,
): SessionEvent[] =>
  events.map(({ atMs, body }, seq) => stamped(body, { id: idOf(seq), sessionId, deviceId, seq, atMs }));
