import { z } from 'zod';
import { limbSchema } from '../quantity/limb';
import { sideSchema } from '../strength/side';
import { DATE_ORDER_IDS } from './day';
import { TABLE_KINDS, type TableField } from './tables';

/** A unit of a column of loads or lengths. */
export const COLUMN_UNITS = ['kg', 'lb', 'cm', 'mm', 'in'] as const;
export type ColumnUnit = (typeof COLUMN_UNITS)[number];

/** Where a field is read from: columns, from 0, whose cells are joined (first and last name), or one text for all rows. */
const sourceSchema = z.union([
  z.object({ columns: z.array(z.number().int().min(0)).min(1) }),
  z.object({ constant: z.string() }),
]);

/** How a field is read. What is null the table does not say: the practice's unit is taken, and the rest has to be said. */
const mappedSchema = z.object({
  from: sourceSchema,
  unit: z.enum(COLUMN_UNITS).nullable(),
  dateOrder: z.enum(DATE_ORDER_IDS).nullable(),
  decimalMark: z.enum(['point', 'comma']).nullable(),
});
export type MappedField = z.infer<typeof mappedSchema>;

const fieldsSchema = z.record(z.string(), mappedSchema);
export type MappedFields = z.infer<typeof fieldsSchema>;

/** One limb or side of a wide table. */
const branchSchema = z.object({
  /** Null where the headings say left or right, and not of which limb. */
  value: z.union([limbSchema, sideSchema]).nullable(),
  /** The heading it was found by. */
  heading: z.string(),
  fields: fieldsSchema,
});
export type Branch = z.infer<typeof branchSchema>;

/**
 * How a table is read. In a wide one the columns of the left and the right are next to each other: each of its rows is a record for each
 * limb or side that it has something of.
 */
export const mappingSchema = z.object({
  kind: z.enum(TABLE_KINDS as [(typeof TABLE_KINDS)[number]]),
  fields: fieldsSchema,
  wide: z
    .object({ field: z.enum(['limb', 'side']), branches: z.array(branchSchema).min(1).max(8) })
    .nullable(),
});
export type Mapping = z.infer<typeof mappingSchema>;

/** A field as it begins: how its texts are written is not said yet. */
const mapped = (from: MappedField['from'], unit: ColumnUnit | null): MappedField => ({
  from,
  unit,
  dateOrder: null,
  decimalMark: null,
});

/** A field that is read from a column, or from several that are joined. */
export const fromColumns = (columns: number[], unit: ColumnUnit | null = null): MappedField =>
  mapped({ columns }, unit);

/** A field that is the same for all rows. */
export const fromConstant = (constant: string): MappedField => mapped({ constant }, null);

/** What a row says of a field, as it stands in the table. */
export const textOf = (
  { from }: MappedField,
  cells: readonly string[],
  { joinedBy = ' ' }: TableField,
): string =>
  'constant' in from
    ? from.constant.trim()
    : from.columns
        .map((column) => (cells[column] ?? '').trim())
        .filter((cell) => cell !== '')
        .join(joinedBy);

/** Cells of a table below its headings. */
export type Rows = readonly (readonly string[])[];

/** What every row says of a field. */
export const textsOf = (field: TableField, mapped: MappedField, rows: Rows): string[] =>
  rows.map((row) => textOf(mapped, row, field));

/** Every field of a mapping with the part of the table it is in, those of a wide one last. */
export const allMapped = ({ fields, wide }: Mapping): [string, MappedField][] => [
  ...Object.entries(fields),
  ...(wide?.branches ?? []).flatMap((branch) => Object.entries(branch.fields)),
];
