import { store } from '../state/store';
import type { PressureSource } from './pressure-source';

/** A device that is connected outside a session, so that the dock can show and release it in every view. */
export type Connected = {
  /** What it is connected for; the same key is the same cuff on the same limb. */
  key: string;
  label: string;
  /** Where in the app it is used. */
  address: string;
  source: PressureSource;
};

const connected = store<Connected | null>(null);

export const connectedNow = connected.get;
export const useConnected = connected.use;

/** Connects a device in place of the one before, which is deflated and closed. */
export function connect(next: Connected | null): void {
  const before = connected.get();
  if (before && before.source !== next?.source) {
    before.source.command({ do: 'release' });
    before.source.close();
  }
  connected.set(next);
}
