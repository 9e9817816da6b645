import { RULES } from '../rules/catalogue';
import { SIGNS } from './signs';
import type { SessionState } from './state';

/** How long a touch in error can be taken back: the end of a set, a stop (rule RUN-2). */
export const TAKE_BACK_MS = RULES['RUN-2'].figures.takeBackMs;

/**
 * Whether the stop can still be taken back at `nowMs`: only one by a key. What was felt or measured in the same moment stopped it by
 * itself, and stays (rules RUN-3, RUN-8).
 */
export function canTakeBackStop(
  { stopped, signs, bloodPressures, finishedAtMs }: SessionState,
  nowMs: number,
): boolean {
  if (!stopped || finishedAtMs !== null || nowMs - stopped.atMs > TAKE_BACK_MS) return false;
  const isSince = ({ atMs }: { atMs: number }) => atMs >= stopped.atMs;
  return (
    !signs.some((noted) => isSince(noted) && SIGNS[noted.sign].level !== 'expected') &&
    !bloodPressures.some(isSince)
  );
}
