import { store } from '../state/store';
import type { HeartRateSource } from './heart-rate-source';

/** A strap that is worn in a session. It lives as long as the page, whichever view is shown. */
export type SessionStrap = {
  sessionId: string;
  source: HeartRateSource;
  /** The last that was heard; null before, and while it says nothing. */
  beatsPerMinute: number | null;
};

const straps = store<readonly SessionStrap[]>([]);

export const sessionStraps = straps.get;
export const useSessionStrap = (sessionId: string): SessionStrap | undefined =>
  straps.use().find((strap) => strap.sessionId === sessionId);

/** Listens to a strap for a session, in the place of one before. */
export function wearStrap(sessionId: string, source: HeartRateSource): void {
  takeOffStrap(sessionId);
  straps.set([...straps.get(), { sessionId, source, beatsPerMinute: null }]);
  source.subscribe((beatsPerMinute) => {
    straps.set(straps.get().map((strap) => (strap.source === source ? { ...strap, beatsPerMinute } : strap)));
  });
}

export function takeOffStrap(sessionId: string): void {
  const known = straps.get().find((strap) => strap.sessionId === sessionId);
  if (!known) return;
  known.source.close();
  straps.set(straps.get().filter((strap) => strap !== known));
}
