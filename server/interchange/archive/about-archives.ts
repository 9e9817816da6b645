import { ABOUT_ACCESS } from '#contract/audit';

/** What the audit says of copies going out and coming in, and of who came in and looked: not in archives. */
export const NOT_IN_ARCHIVES: readonly string[] = [
  'archive-taken-out',
  'taken-in',
  'taken-back',
  ...ABOUT_ACCESS,
];
/** That list for SQL. */
export const NOT_IN_ARCHIVES_SQL = NOT_IN_ARCHIVES.map((action) => `'${action}'`).join(', ');
