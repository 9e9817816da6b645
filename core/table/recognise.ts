import { byHeadings } from './by-headings';
import type { DateOrder } from './day';
import { type UsualUnits, withForms } from './forms';
import type { Mapping, Rows } from './mapping';
import type { TableKind } from './tables';

/**
 * How a table of a kind is to be read, by its headings and by what is below them: units, dates and decimals column by column.
 * @param rows the first of them, to see how dates and figures are written
 * @param usual the practice's own order of dates, taken where the rows leave it open, and its units
 */
export function recognise(
  kind: TableKind,
  headings: readonly string[],
  rows: Rows,
  usual: { dateOrder: DateOrder; units: UsualUnits },
): Mapping {
  return withForms(byHeadings(kind, headings), rows, usual);
}
