import type { EntitySchema, InferEntity } from '@mikro-orm/core';

/** What the ORM says of a property: a class of its types, and whether it may be null. */
type Property = { type: { name: string }; nullable?: boolean; default?: unknown; primary?: boolean };
type OfEntity = { entity: EntitySchema };

// biome-ignore lint/suspicious/noExplicitAny: an entity of any record; what is read and written is typed by the record that is given.
export type AnyRecord = { table: string; entity: EntitySchema<any> };
export type PropertyOf<R extends AnyRecord> = keyof InferEntity<R['entity']> & string;
/** What the ORM reads lazily is read and written here like any other value. */
type Plain<T> = T extends { unwrap(): infer Value } ? Value : T;
/** The value of a property of a record; null where it has none. */
export type ValueOf<R extends AnyRecord, P extends PropertyOf<R>> = Exclude<
  Plain<InferEntity<R['entity']>[P]>,
  undefined
>;

/** How SQLite keeps a value of each type of the ORM. */
const KEPT_AS = {
  StringType: 'TEXT',
  TextType: 'TEXT',
  JsonType: 'TEXT',
  BigIntType: 'INTEGER',
  IntegerType: 'INTEGER',
  BooleanType: 'INTEGER',
  DoubleType: 'REAL',
} as const;

/** A column of a record: how it is kept, and how its value is read. */
export type Column = {
  property: string;
  name: string;
  type: (typeof KEPT_AS)[keyof typeof KEPT_AS];
  isNullable: boolean;
  isKey: boolean;
  /** As SQL writes it; undefined where a value is always given. */
  byDefault: string | undefined;
  /** Kept as JSON text, or as 0 or 1; else as it is. */
  as: 'json' | 'flag' | 'plain';
};

/** What a property is called in the database. @example snakeCase('divisionMmHg') //=> 'division_mm_hg' */
export const snakeCase = (property: string): string =>
  property.replace(/[A-Z]/g, (letter) => `_${letter.toLowerCase()}`);

/** The same, quoted for SQL: a name may be one of its words. @example columnOf('by') //=> '"by"' */
export const columnOf = (property: string): string => `"${snakeCase(property)}"`;

const known = new WeakMap<EntitySchema, readonly Column[]>();

/** The columns of a record, as its definition has them. @throws Error for a property of a type that no record has yet */
export function columnsOf({ entity }: OfEntity): readonly Column[] {
  const columns = known.get(entity) ?? Object.entries(entity.meta.properties).map(columnFrom);
  known.set(entity, columns);
  return columns;
}

function columnFrom([property, meta]: [string, unknown]): Column {
  const { type, nullable = false, default: given, primary = false } = meta as Property;
  const orm = type.name;
  if (!Object.hasOwn(KEPT_AS, orm))
    throw new Error(`${property} is a ${orm}, which no record has: see columns.ts.`);
  return {
    property,
    name: snakeCase(property),
    type: KEPT_AS[orm as keyof typeof KEPT_AS],
    isNullable: nullable,
    isKey: primary,
    byDefault:
      given === undefined ? undefined : typeof given === 'string' ? `'${given}'` : String(Number(given)),
    as: orm === 'JsonType' ? 'json' : orm === 'BooleanType' ? 'flag' : 'plain',
  };
}

/** A value as the database keeps it. */
export function stored({ as, isNullable }: Column, value: unknown): unknown {
  // Where a column is never null, `null` is a value of its JSON.
  if (value === null && !(as === 'json' && !isNullable)) return null;
  if (as === 'json') return JSON.stringify(value);
  return as === 'flag' ? Number(value) : value;
}

/** A value as it was before the database kept it: JSON parsed, a flag true or false. */
export function loaded({ as }: Pick<Column, 'as'>, value: unknown): unknown {
  if (as === 'json') return value === null ? null : JSON.parse(String(value));
  return as === 'flag' ? value === 1 : value;
}

/** Which rows of a record: by a value, any of a list, or none where it is null. */
export type Where<R extends AnyRecord> = {
  [P in PropertyOf<R>]?: ValueOf<R, P> | readonly ValueOf<R, P>[];
};

/** Rows that have these values, as SQL. @throws RangeError without a condition, and for a property that the record does not have */
export function matching(record: AnyRecord, where: object): { sql: string; values: unknown[] } {
  const columns = columnsOf(record);
  const parts = Object.entries(where).map(([property, value]) => {
    const column = columns.find((one) => one.property === property);
    if (!column) throw new RangeError(`${record.table} has no ${property}.`);
    if (value === null) return { sql: `"${column.name}" is null`, values: [] };
    const any = Array.isArray(value) ? value : [value];
    return {
      sql: `"${column.name}" in (${any.map(() => '?').join(', ')})`,
      values: any.map((one) => stored(column, one)),
    };
  });
  // Without a condition every row would be meant.
  if (parts.length === 0) throw new RangeError(`Say which rows of ${record.table}.`);
  return { sql: parts.map((part) => part.sql).join(' and '), values: parts.flatMap((part) => part.values) };
}
