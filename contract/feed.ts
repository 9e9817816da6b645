import type { SessionEvent } from '#core/session';
import type { ClientSummary } from './client';

/**
 * What a device that follows the practice receives: events as they are stored, that a session was opened, how a person's line
 * of the roster reads now (`added` for a new person), that notes were handed
 * over or read, or that the practice itself has changed.
 */
export type FeedMessage =
  | { said: 'opened'; sessionId: string }
  | { said: 'events'; events: SessionEvent[] }
  | { said: 'client'; line: ClientSummary; asOf: number; added: boolean }
  | { said: 'handover' }
  | { said: 'practice' };
