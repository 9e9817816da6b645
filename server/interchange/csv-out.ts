import Database from 'libsql';
import papaparse from 'papaparse';
import type { ArchiveKind } from '#contract/archive-rows';
import { ARCHIVED, chosenColumns, propertiesOf } from '../record/archived';
import { columnOf } from '../record/columns';

type Row = Record<string, unknown>;

/**
 * A table of the practice as CSV (RFC 4180), a line at a time: headings say their units, times are ISO, what is more than a
 * figure or a word is JSON, and no cell is a formula to a spreadsheet.
 */
export function* writeCsv(file: string, kind: ArchiveKind, separator: ',' | ';'): Generator<string> {
  const database = new Database(file);
  try {
    const properties = propertiesOf(kind);
    const { table, order } = ARCHIVED[kind];
    const isOfClient = properties.includes('clientId');
    const name = isOfClient
      ? `(select name from client where client.id = ${table}.client_id) as "person", `
      : '';
    const rows = database
      .prepare(`select ${name}${chosenColumns(kind)} from ${table} order by ${order}`)
      .iterate();
    yield lineOf([...(isOfClient ? ['person'] : []), ...properties.map(headingOf)], separator);
    for (const row of rows as Iterable<Row>) {
      const cells = properties.map((property) => cellOf(property, row[property]));
      yield lineOf([...(isOfClient ? [row.person] : []), ...cells], separator);
    }
  } finally {
    database.close();
  }
}

const lineOf = (cells: unknown[], delimiter: ',' | ';'): string =>
  `${papaparse.unparse([cells], { delimiter, newline: '\r\n', escapeFormulae: true })}\r\n`;

/** A heading with its unit. @example headingOf('girthCm') //=> 'girth_cm' */
const headingOf = (property: string): string =>
  columnOf(property)
    .replaceAll('"', '')
    .replace(/_at_ms$|^at_ms$/, (end) => (end === 'at_ms' ? 'at' : '_at'));

/** Times as people and programs read them. */
const cellOf = (property: string, value: unknown): unknown =>
  /(^a|A)tMs$/.test(property) && typeof value === 'number' ? new Date(value).toISOString() : value;
