/** Points of a chart: more cannot be distinguished on it. */
export const HISTORY_POINTS = 200;

/** What is older than `beforeMs`. */
export type Before = { beforeMs: number };
