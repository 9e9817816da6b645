import { type Message, msg } from '../message/message';
import { ambiguousDay } from './day';
import type { UsualUnits } from './forms';
import { unitIn } from './headings';
import { allMapped, type ColumnUnit, type MappedField, type Mapping, type Rows, textsOf } from './mapping';
import { fieldsOf } from './tables';

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
