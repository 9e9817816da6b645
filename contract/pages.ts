/** People on a page of the roster; every page but the last is full. */
export const PAGE_OF_PEOPLE = 30;

/** Rows on a page of the years, newest first; a page with fewer is the last. */
export const PAGE_OF_HISTORY = 30;
