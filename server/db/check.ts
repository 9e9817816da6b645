import type { Prepare } from './dialect/connection';
import { SETTINGS } from './dialect/sql';

/** Whether the database file holds together, as far as is known without reading every index. */
export const quickCheck = (prepare: Prepare): boolean =>
  (prepare(SETTINGS.quickCheck).get() as { quick_check: string }).quick_check === 'ok';

/** Brings everything that was written into the one file, so that a copy of it has all. */
export const checkpoint = (prepare: Prepare): void => {
  prepare(SETTINGS.emptyTheLog).all();
};
