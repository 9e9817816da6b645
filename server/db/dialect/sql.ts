// The words of SQL that are SQLite's own: all that another engine says otherwise is here, and in `connection.ts` and `errors.ts`
// beside it; migrations and the files of a backup are SQLite's by nature (docs/decisions/past-one-machine.md).

/** A value within a JSON column, as SQL. @example jsonAt('ends', 'atMs') //=> "json_extract(ends, '$.atMs')" */
export const jsonAt = (column: string, path: string): string =>
  `json_extract(${column}, '$${path.startsWith('[') ? '' : '.'}${path}')`;

/** A JSON object of SQL values. @example jsonObject({ limb: 'limb' }) //=> "json_object('limb', limb)" */
export const jsonObject = (values: Readonly<Record<string, string>>): string =>
  `json_object(${Object.entries(values)
    .map(([name, value]) => `'${name}', ${value}`)
    .join(', ')})`;

/** A JSON column as JSON within JSON, rather than as text. */
export const asJson = (column: string): string => `json(${column})`;

/** A JSON column with a value set to another. */
export const jsonWith = (column: string, path: string, value: string): string =>
  `json_set(${column}, '$.${path}', ${value})`;

/** How many values a JSON list has. */
export const jsonLength = (column: string): string => `json_array_length(${column})`;

/** The values of a JSON list that is given, as a table's only column. */
export const valuesOf = (given: string): string => `(select value from json_each(${given}))`;

/** The order in which rows were written. */
export const AS_WRITTEN = 'rowid';

/** Whether a text has another in it. */
export const hasWithin = (text: string, part: string): string => `instr(${text}, ${part}) > 0`;

/** Two names that differ in capitals alone are one. */
export const WHATEVER_CAPITALS = 'collate nocase';

/** Statements about the connection or the file itself. */
export const SETTINGS = {
  rowsMayNameEachOther: 'pragma defer_foreign_keys = on',
  freedPagesAreOverwritten: 'pragma secure_delete = on',
  waitForDisk: 'pragma synchronous = full',
  doNotWaitForDisk: 'pragma synchronous = off',
  quickCheck: 'pragma quick_check(1)',
  emptyTheLog: 'pragma wal_checkpoint(truncate)',
} as const;

/** What the full-text index of people is asked for: every word of the search begins a word of the name or the story. */
export const matchWords = (search: string): string =>
  (search.match(/[\p{L}\p{N}]+/gu) ?? []).map((word) => `"${word}"*`).join(' ');

/** All texts of a column as one, with commas between. */
export const joined = (column: string): string => `group_concat(${column}, ',')`;
