import type { Prepare } from '../db/dialect/connection';
import { findRow } from '../record/read';
import { forgetWaitsBefore, signInWaitRecord } from '../record/sign-in-wait';
import { deleteRows, keepRow } from '../record/write';
import { sha256 } from '../sha256';

/** How long who failed waits: none for the first failures, then twice as long each time. */
type Patience = { free: number; longestMs: number };
const PATIENCE: Record<'name' | 'address', Patience> = {
  name: { free: 5, longestMs: 15 * 60_000 },
  // Many may work behind one address.
  address: { free: 30, longestMs: 5 * 60_000 },
};
const FORGOTTEN_MS = 24 * 3_600_000;

/** Of what failures are counted: a name as it was typed on a device, or the address it came from. */
export type Counted = { of: keyof typeof PATIENCE; key: string };
type Wait = { failures: number; untilMs: number; lastAtMs: number };

// Names are kept as hashes: people type passphrases into the wrong field.
const keyOf = ({ of, key }: Counted): string => `${of} ${sha256(key)}`;

const waitOf = (prepare: Prepare, counted: Counted): Wait | undefined =>
  findRow(prepare, signInWaitRecord, { key: keyOf(counted) }, ['failures', 'untilMs', 'lastAtMs']);

/** How long is still to wait before the next try, in ms. */
export const waitMs = (prepare: Prepare, counted: readonly Counted[], nowMs: number): number =>
  Math.max(0, ...counted.map((one) => (waitOf(prepare, one)?.untilMs ?? 0) - nowMs));

/** Counts a failure: the waits grow. */
export function countFailure(prepare: Prepare, counted: readonly Counted[], nowMs: number): void {
  forgetWaitsBefore(prepare, nowMs - FORGOTTEN_MS);
  for (const one of counted) {
    const { free, longestMs } = PATIENCE[one.of];
    const failures = (waitOf(prepare, one)?.failures ?? 0) + 1;
    const untilMs =
      failures < free ? 0 : nowMs + Math.min(longestMs, 1_000 * 2 ** Math.min(failures - free, 20));
    keepRow(
      prepare,
      signInWaitRecord,
      { key: keyOf(one), failures, untilMs, lastAtMs: nowMs },
      { sameAs: ['key'], update: ['failures', 'untilMs', 'lastAtMs'] },
    );
  }
}

/** Forgets the failures of a name once it came in; an address goes on being counted. */
export const forgetFailures = (prepare: Prepare, counted: Counted): void => {
  deleteRows(prepare, signInWaitRecord, { key: keyOf(counted) });
};
