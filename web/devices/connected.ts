import { useSyncExternalStore } from 'react';
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

let connected: Connected | null = null;
const listeners = new Set<() => void>();

export const connectedNow = (): Connected | null => connected;

/** Connects a device in place of the one before, which is let down and closed. */
export function connect(next: Connected | null): void {
  if (connected && connected.source !== next?.source) {
    connected.source.command({ do: 'release' });
    connected.source.close();
  }
  connected = next;
  for (const listener of listeners) listener();
}

export const useConnected = (): Connected | null =>
  useSyncExternalStore((listener) => {
    listeners.add(listener);
    return () => listeners.delete(listener);
  }, connectedNow);
