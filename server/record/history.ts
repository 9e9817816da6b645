import { PAGE_OF_HISTORY } from '#contract/pages';

/** So many entries of the past are read at once. */
export const HISTORY_PAGE = PAGE_OF_HISTORY;

/** Points of a chart: more cannot be distinguished on it. */
export const HISTORY_POINTS = 200;

/** What is older than `beforeMs`. */
export type Before = { beforeMs: number };
