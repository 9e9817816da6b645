import { type Message, msg } from '../message/message';
import { ambiguousDay, type DateOrder, dateOrdersOf } from './day';
import { type DecimalMark, decimalMarkOf } from './number';
import { fieldsOf, TABLE_KINDS, type TableField, type TableKind } from './tables';
import { plainWords } from './words';

/** A unit of a column of loads or lengths. */
export type ColumnUnit = 'kg' | 'lb' | 'cm' | 'mm' | 'in';

/** Which column a field is read from, from 0, and how. */
export type MappedColumn = { column: number; unit: ColumnUnit | null };

/** How a table is read. `null` where the table itself does not say, and the user has to. */
export type Mapping = {
  kind: TableKind;
  columns: Record<string, MappedColumn>;
  dateOrder: DateOrder | null;
  decimalMark: DecimalMark | null;
};

/** What a heading says of its unit. @example unitIn('Load (lb)') //=> 'lb' */
export function unitIn(heading: string): ColumnUnit | null {
  const words = plainWords(heading).split(' ');
  const found = UNITS.find(({ names }) => names.some((name) => words.includes(name)));
  return found?.unit ?? null;
}

const UNITS: { unit: ColumnUnit; names: readonly string[] }[] = [
  { unit: 'kg', names: ['kg', 'kgs', 'kilograms', 'kilos'] },
  { unit: 'lb', names: ['lb', 'lbs', 'pounds'] },
  { unit: 'cm', names: ['cm', 'centimetres', 'centimeters'] },
  { unit: 'mm', names: ['mm', 'millimetres', 'millimeters'] },
  { unit: 'in', names: ['in', 'inch', 'inches'] },
];

/** A heading without its unit, as fields are known by. @example headingWords('Girth (cm)') //=> 'girth' */
const headingWords = (heading: string): string =>
  plainWords(heading)
    .split(' ')
    .filter((word) => !UNITS.some(({ names }) => names.includes(word)) && word !== 'mmhg')
    .join(' ');

/** How well a heading names a field: as it is known, as part of it, not at all. */
function fitOf(heading: string, { known }: TableField): number {
  const words = headingWords(heading);
  if (words === '') return 0;
  if (known.includes(words)) return 2;
  return known.some((name) => ` ${words} `.includes(` ${name} `)) ? 1 : 0;
}

/**
 * How a table of a kind is to be read, by its headings and by what is below them.
 * @param rows the first of them, to see how dates and figures are written
 * @param usualOrder the practice's own order of dates, taken where the rows leave it open
 */
export function recognise(
  kind: TableKind,
  headings: readonly string[],
  rows: readonly (readonly string[])[],
  usualOrder: DateOrder,
): Mapping {
  const columns = columnsOf(kind, headings);
  return withForms({ kind, columns, dateOrder: null, decimalMark: null }, rows, usualOrder);
}

function columnsOf(kind: TableKind, headings: readonly string[]): Record<string, MappedColumn> {
  const columns: Record<string, MappedColumn> = {};
  const taken = new Set<number>();
  // What fits exactly is given away first, so that a looser field does not take its column.
  for (const least of [2, 1]) {
    for (const [id, field] of fieldsOf(kind)) {
      if (columns[id]) continue;
      const column = headings.findIndex((heading, at) => !taken.has(at) && fitOf(heading, field) >= least);
      if (column < 0) continue;
      taken.add(column);
      columns[id] = { column, unit: unitIn(headings[column] ?? '') };
    }
  }
  return columns;
}

/** What is between several figures of one cell, whatever the decimal mark is. */
export const BETWEEN = /[\s/;|]+/;

/** The cells of all fields that are read in one way. */
const cellsOf = (mapping: Mapping, rows: readonly (readonly string[])[], as: TableField['reading']['as']) =>
  fieldsOf(mapping.kind).flatMap(([id, { reading }]) => {
    const at = mapping.columns[id]?.column;
    return reading.as === as && at !== undefined ? rows.map((row) => row[at] ?? '') : [];
  });

/** A mapping with how dates and figures are written, as far as the rows say, else as the practice writes its dates. */
export function withForms(
  mapping: Mapping,
  rows: readonly (readonly string[])[],
  usualOrder: DateOrder,
): Mapping {
  const orders = dateOrdersOf(cellsOf(mapping, rows, 'day'));
  const [only = null] = orders.length === 1 ? orders : orders.filter((order) => order === usualOrder);
  return {
    ...mapping,
    dateOrder: only,
    decimalMark: decimalMarkOf([
      ...cellsOf(mapping, rows, 'figure'),
      ...cellsOf(mapping, rows, 'figures').flatMap((text) => text.split(BETWEEN)),
    ]),
  };
}

/** A date of the rows that could be read as another day, and the day it is read as; `null` where every date is plain. */
export const openDate = (
  mapping: Mapping,
  rows: readonly (readonly string[])[],
): { text: string; day: string } | null =>
  mapping.dateOrder === null ? null : ambiguousDay(cellsOf(mapping, rows, 'day'), mapping.dateOrder);

/** The kind of table that headings look most like: the one with the most fields found, of as few as there are. */
export function likelyKind(headings: readonly string[]): TableKind {
  const score = (kind: TableKind) => {
    const fields = fieldsOf(kind);
    const found = Object.keys(columnsOf(kind, headings));
    const missing = fields.filter(([id, { optional }]) => !optional && !found.includes(id)).length;
    return found.length - 2 * missing;
  };
  return TABLE_KINDS.reduce((best, kind) => (score(kind) > score(best) ? kind : best));
}

/** What still has to be said before a table can be read, in words; nothing where it can. */
export function missingIn(
  mapping: Mapping,
  units: { mass: ColumnUnit | null; length: ColumnUnit | null },
): Message[] {
  const fields = fieldsOf(mapping.kind);
  const has = (as: TableField['reading']['as']) =>
    fields.some(([id, { reading }]) => reading.as === as && mapping.columns[id] !== undefined);
  return [
    ...fields
      .filter(([id, { optional }]) => !optional && !mapping.columns[id])
      .map(([, { label }]) => msg('Which column is “{field}”?', { field: label })),
    ...(has('day') && mapping.dateOrder === null ? [msg('In which order are day, month and year?')] : []),
    ...((has('figure') || has('figures')) && mapping.decimalMark === null
      ? [msg('Is 1.200 one and a bit, or over a thousand?')]
      : []),
    ...fields.flatMap(([id, { label, reading }]) =>
      reading.as === 'figure' &&
      reading.unit !== 'none' &&
      mapping.columns[id]?.unit === null &&
      !units[reading.unit]
        ? [msg('In which unit is “{field}”?', { field: label })]
        : [],
    ),
  ];
}
