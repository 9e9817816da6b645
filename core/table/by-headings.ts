import { fitOf, headingWords, type SidedHeading, sidedIn, unitIn } from './headings';
import { allMapped, type Branch, fromColumns, type MappedFields, type Mapping } from './mapping';
import { fieldsOf, TABLE_KINDS, type TableField, type TableKind } from './tables';

/** A mapping by headings alone, with the left and the right apart where they are next to each other. */
export function byHeadings(kind: TableKind, headings: readonly string[]): Mapping {
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
