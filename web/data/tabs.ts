import type { SessionEvent } from '#core/session';

/** Sends the other tabs of this browser what was appended here. */
export const tabs: Pick<BroadcastChannel, 'postMessage' | 'addEventListener'> = new BroadcastChannel(
  'nervato-events',
);

export type SharedEvents = MessageEvent<SessionEvent[]>;
