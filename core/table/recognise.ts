import { type Message, msg } from '../message/message';
import { ambiguousDay, type DateOrder, dateOrdersOf } from './day';
import { fitOf, headingWords, type SidedHeading, sidedIn, unitIn } from './headings';
import {
  allMapped,
  type Branch,
  type ColumnUnit,
  fromColumns,
  type MappedField,
  type MappedFields,
  type Mapping,
  textOf,
} from './mapping';
import { decimalMarkOf, readFigure } from './number';
import { fieldsOf, TABLE_KINDS, type TableField, type TableKind } from './tables';
import { inCore } from './units';

type Rows = readonly (readonly string[])[];
/** The practice's own units, for columns that do not say theirs. */
export type UsualUnits = { mass: ColumnUnit; length: ColumnUnit };

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

/** A mapping by headings alone, with the left and the right apart where they are next to each other. */
function byHeadings(kind: TableKind, headings: readonly string[]): Mapping {
  const narrow = narrowFields(kind, headings);
  const wide = wideFields(kind, headings, narrow);
  return { kind, fields: wide ? wide.shared : narrow, wide: wide?.wide ?? null };
}

/** The fields that headings name, each column once. */
function narrowFields(kind: TableKind, headings: readonly string[]): MappedFields {
  const fields: MappedFields = {};
  const taken = new Set<number>();
  const take = (id: string, columns: number[]) => {
    for (const column of columns) taken.add(column);
    fields[id] = fromColumns(columns, unitIn(headings[columns[0] ?? 0] ?? ''));
  };
  const freeWhere = (fits: (words: string) => boolean): number[] =>
    headings.flatMap((heading, at) => (!taken.has(at) && fits(headingWords(heading)) ? [at] : []));
  // What fits exactly is given away first, so that a looser field does not take its column.
  for (const least of [2, 1]) {
    for (const [id, field] of fieldsOf(kind)) {
      if (fields[id]) continue;
      const parts = least === 2 ? partsIn(field, freeWhere) : null;
      if (parts) {
        take(id, parts);
        continue;
      }
      const fitting = freeWhere((words) => fitOf(words, field) >= least);
      const [first] = fitting;
      if (first !== undefined) take(id, field.joinedBy === undefined ? [first] : fitting);
    }
  }
  return fields;
}

/** The columns of a field that is made of several, in their order; null where one of them is not there. */
function partsIn(
  { parts }: TableField,
  freeWhere: (fits: (words: string) => boolean) => number[],
): number[] | null {
  if (!parts) return null;
  const columns = parts.flatMap((names) => freeWhere((words) => names.includes(words)).slice(0, 1));
  return columns.length === parts.length ? columns : null;
}

type Wide = NonNullable<Mapping['wide']>;

/** What is there once for each limb or side; null where the table is not a wide one. */
function wideFields(
  kind: TableKind,
  headings: readonly string[],
  narrow: MappedFields,
): { shared: MappedFields; wide: Wide } | null {
  const fields = fieldsOf(kind);
  const field = (['limb', 'side'] as const).find((id) => fields.some(([one]) => one === id));
  if (!field) return null;
  const sided = headings.map(sidedIn);
  const branches = new Map<string, Branch>();
  const split = new Set<number>();
  for (const [column, heading] of sided.entries()) {
    if (!heading) continue;
    const id = fieldOf(kind, heading);
    if (id === null || id === field) continue;
    const value = field === 'limb' ? heading.limb : heading.side;
    const key = value ?? heading.side;
    const branch = branches.get(key) ?? { value, heading: headings[column] ?? '', fields: {} };
    branches.set(key, branch);
    if (branch.fields[id]) continue;
    branch.fields[id] = fromColumns([column], unitIn(headings[column] ?? ''));
    split.add(column);
  }
  const figures = fields.filter(([, { reading, optional }]) => !optional && reading.as.startsWith('figure'));
  const isWhole = [...branches.values()].some((branch) => figures.some(([id]) => branch.fields[id]));
  if (!isWhole) return null;
  // A column of a side is not the limb of all rows.
  const shared = Object.entries(narrow).filter(
    ([id, { from }]) =>
      id !== field && 'columns' in from && !from.columns.some((column) => split.has(column)),
  );
  return { shared: Object.fromEntries(shared), wide: { field, branches: [...branches.values()] } };
}

/** The field that a sided heading is of; null where it is none. */
function fieldOf(kind: TableKind, { words }: SidedHeading): string | null {
  const fits = (least: 1 | 2) => fieldsOf(kind).find(([, field]) => fitOf(words, field) >= least)?.[0];
  return fits(2) ?? fits(1) ?? null;
}

/** What is between several figures of one cell, whatever the decimal mark is. */
export const BETWEEN = /[\s/;|]+/;

const textsOf = (field: TableField, mapped: MappedField, rows: Rows): string[] =>
  rows.map((row) => textOf(mapped, row, field));

/** A mapping with how dates and figures of each column are written: as was chosen, as far as its rows say, else as the practice writes them. */
export function withForms(
  mapping: Mapping,
  rows: Rows,
  usual: { dateOrder: DateOrder; units: UsualUnits },
): Mapping {
  const known = new Map(fieldsOf(mapping.kind));
  const formed = (fields: MappedFields): MappedFields =>
    Object.fromEntries(
      Object.entries(fields).map(([id, mapped]) => {
        const field = known.get(id);
        return [id, field ? withForm(field, mapped, textsOf(field, mapped, rows), usual) : mapped];
      }),
    );
  return {
    ...mapping,
    fields: formed(mapping.fields),
    wide: mapping.wide && {
      ...mapping.wide,
      branches: mapping.wide.branches.map((branch) => ({ ...branch, fields: formed(branch.fields) })),
    },
  };
}

function withForm(
  { reading }: TableField,
  mapped: MappedField,
  texts: readonly string[],
  usual: { dateOrder: DateOrder; units: UsualUnits },
): MappedField {
  if (reading.as === 'day') {
    const orders = dateOrdersOf(texts);
    const [only = null] = orders.length === 1 ? orders : orders.filter((order) => order === usual.dateOrder);
    return { ...mapped, dateOrder: mapped.dateOrder ?? only };
  }
  if (reading.as === 'figures') {
    const figures = texts.flatMap((text) => text.split(BETWEEN));
    return { ...mapped, decimalMark: mapped.decimalMark ?? decimalMarkOf(figures) };
  }
  if (reading.as !== 'figure') return mapped;
  const decimalMark = mapped.decimalMark ?? decimalMarkOf(texts);
  return {
    ...mapped,
    decimalMark,
    unit: mapped.unit ?? unitByFigures(reading, texts, decimalMark, usual.units),
  };
}

type Figure = Extract<TableField['reading'], { as: 'figure' }>;
const OTHER_UNITS: Record<'mass' | 'length', readonly ColumnUnit[]> = {
  mass: ['kg', 'lb'],
  length: ['cm', 'mm', 'in'],
};

/** A unit that figures have to be in, as none of them can be in the practice's own; null where they can. */
function unitByFigures(
  { unit, least, most }: Figure,
  texts: readonly string[],
  mark: MappedField['decimalMark'],
  usual: UsualUnits,
): ColumnUnit | null {
  if (unit === 'none' || mark === null) return null;
  const figures = texts.flatMap((text) => readFigure(text, mark) ?? []);
  const fitIn = (one: ColumnUnit) =>
    figures.length > 0 &&
    figures.every((figure) => inCore(figure, one) >= least && inCore(figure, one) <= most);
  const isPossible = figures.some((figure) => {
    const value = inCore(figure, usual[unit]);
    return value >= least && value <= most;
  });
  return isPossible ? null : (OTHER_UNITS[unit].find(fitIn) ?? null);
}

/** The kind of table that headings look most like: the one with the most fields found, of as few as there are. */
export function likelyKind(headings: readonly string[]): TableKind {
  const score = (kind: TableKind) => {
    const { found, missing } = foundIn(kind, headings);
    return found - 2 * missing;
  };
  return TABLE_KINDS.reduce((best, kind) => (score(kind) > score(best) ? kind : best));
}

/**
 * Kinds of table that headings have what is particular to, each in columns of its own: one sheet may have people, girths and pressures
 * next to each other. The likely one comes first.
 */
export function kindsIn(headings: readonly string[]): TableKind[] {
  const likely = likelyKind(headings);
  const taken = new Set(foundIn(likely, headings).own);
  const others = TABLE_KINDS.filter((kind) => {
    if (kind === likely) return false;
    const { own, isComplete, missing } = foundIn(kind, headings);
    if (!isComplete || missing > MOST_CONSTANTS || own.some((column) => taken.has(column))) return false;
    for (const column of own) taken.add(column);
    return true;
  });
  return [likely, ...others];
}

/** Fields that one text for all rows may stand for: the cuff, the position, how the pulse was found. */
const MOST_CONSTANTS = 3;

/** What headings have of a kind. `own`: columns of what only this kind is about, its figures or what is known of a person. */
function foundIn(kind: TableKind, headings: readonly string[]) {
  const mapping = byHeadings(kind, headings);
  const all = allMapped(mapping);
  const ids = new Set([...all.map(([id]) => id), ...(mapping.wide ? [mapping.wide.field] : [])]);
  const asked = fieldsOf(kind).filter(([, { optional }]) => !optional);
  const figures = asked.flatMap(([id, { reading }]) => (reading.as.startsWith('figure') ? [id] : []));
  const particular =
    figures.length > 0 ? figures : fieldsOf(kind).flatMap(([id, field]) => (field.optional ? [id] : []));
  const own = all.flatMap(([id, { from }]) =>
    particular.includes(id) && 'columns' in from ? from.columns : [],
  );
  return {
    found: ids.size,
    missing: asked.filter(([id]) => !ids.has(id)).length,
    own,
    isComplete: figures.every((id) => ids.has(id)) && own.length > 0,
  };
}

/** What still has to be said before a table can be read, in words; nothing where it can. */
export function missingIn(mapping: Mapping): Message[] {
  const fields = fieldsOf(mapping.kind);
  const { wide } = mapping;
  const isSaid = (mapped: MappedField | undefined): boolean =>
    mapped !== undefined && ('columns' in mapped.from || mapped.from.constant.trim() !== '');
  const isThere = (id: string): boolean =>
    isSaid(mapping.fields[id]) ||
    (wide !== null && (wide.field === id || wide.branches.every((branch) => isSaid(branch.fields[id]))));
  const known = new Map(fields);
  return [
    ...fields
      .filter(([id, { optional }]) => !optional && !isThere(id))
      .map(([, { label }]) => msg('Which column is “{field}”?', { field: label })),
    ...(wide?.branches ?? [])
      .filter(({ value }) => value === null)
      .map(({ heading }) => msg('Which limb is “{heading}”?', { heading })),
    ...allMapped(mapping).flatMap(([id, { dateOrder, decimalMark }]) => {
      const field = known.get(id);
      if (!field) return [];
      const { label: about, reading } = field;
      if (reading.as === 'day' && dateOrder === null)
        return [msg('“{field}”: in which order are day, month and year?', { field: about })];
      return reading.as.startsWith('figure') && decimalMark === null
        ? [msg('“{field}”: is 1.200 one and a bit, or over a thousand?', { field: about })]
        : [];
    }),
  ];
}

/** What of a table could be read otherwise, by an example, and how it is read. */
export type Doubt = { field: string; heading: string; text: string } & (
  | { of: 'day'; day: string }
  | { of: 'unit'; unit: ColumnUnit }
);

/** Dates of two readings, and figures whose unit is not said. */
export function doubtsIn(
  mapping: Mapping,
  headings: readonly string[],
  rows: Rows,
  usual: UsualUnits,
): Doubt[] {
  const known = new Map(fieldsOf(mapping.kind));
  return allMapped(mapping).flatMap(([id, mapped]): Doubt[] => {
    const field = known.get(id);
    if (!field || 'constant' in mapped.from) return [];
    const { reading } = field;
    const texts = textsOf(field, mapped, rows);
    const heading = headings[mapped.from.columns[0] ?? 0] ?? '';
    if (reading.as === 'day') {
      const open = mapped.dateOrder === null ? null : ambiguousDay(texts, mapped.dateOrder);
      return open ? [{ field: id, heading, of: 'day', ...open }] : [];
    }
    if (reading.as !== 'figure' || reading.unit === 'none' || unitIn(heading) !== null) return [];
    const text = texts.find((one) => one !== '');
    return text === undefined
      ? []
      : [{ field: id, heading, of: 'unit', text, unit: mapped.unit ?? usual[reading.unit] }];
  });
}
