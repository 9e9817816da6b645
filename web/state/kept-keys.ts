/** A key that was pressed before the view it is meant for stood. */
export type KeptKey = { key: string; code: string; shiftKey: boolean; atMs: number };

/** After a longer wait a person looks again before pressing: the key is no longer meant. */
export const MEANT_FOR_MS = 3_000;
/** More than these are no longer meant one by one: something leans on the keyboard, or a key hangs. */
const MOST_KEPT = 12;

/** The keys that are kept once another was pressed; none where there are too many. */
export const withKey = (kept: readonly KeptKey[], key: KeptKey): readonly KeptKey[] =>
  kept.length >= MOST_KEPT ? [] : [...kept, key];

/** The kept keys that are still meant, in their order. */
export const stillMeant = (kept: readonly KeptKey[], nowMs: number): readonly KeptKey[] =>
  kept.filter(({ atMs }) => nowMs - atMs <= MEANT_FOR_MS);
