import { type DateOrder, dateOrdersOf } from './day';
import {
  type ColumnUnit,
  type MappedField,
  type MappedFields,
  type Mapping,
  type Rows,
  textsOf,
} from './mapping';
import { decimalMarkOf, readFigure } from './number';
import { fieldsOf, type TableField } from './tables';
import { inCore } from './units';

/** The practice's own units, for columns that do not say theirs. */
export type UsualUnits = { mass: ColumnUnit; length: ColumnUnit };

/** What is between several figures of one cell, whatever the decimal mark is. */
export const BETWEEN = /[\s/;|]+/;

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
