import { vi } from 'vitest';
import { patientMs } from './patience';

/** Waits until a check passes, as long as this machine needs; the usual limit of one second fails where much else is done. */
export const until = <T>(check: () => T | Promise<T>): Promise<T> =>
  vi.waitFor(check, { timeout: patientMs(60_000) });
