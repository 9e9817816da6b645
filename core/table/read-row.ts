import { type Message, msg } from '../message/message';
import { readDay } from './day';
import { BETWEEN, type UsualUnits } from './forms';
import { type MappedField, type MappedFields, type Mapping, textOf } from './mapping';
import { readFigure } from './number';
import { personOf } from './person-name';
import { fieldsOf, type TableField } from './tables';
import { inCore } from './units';
import { LIMB_WORDS, METHOD_WORDS, POSITION_WORDS, plainWords, SIDE_WORDS, wordIn } from './words';

/** What has a name in the practice: ids by their plain words. */
export type Known = Record<'exercise' | 'measure' | 'cuff', ReadonlyMap<string, string>>;

/** What keeps a cell from being read: the field, what is wrong, how to correct it. */
export type BadCell = { field: string; reason: Message };

export type ReadRow = { ok: true; row: Record<string, unknown> } | { ok: false; bad: BadCell[] };

/** What a table is read with: the practice's units for columns without one of their own, and the day it is. */
export type ReadBy = { units: UsualUnits; today: string };

/**
 * The records of a row of a table as they will be stored, in cm and kg, or what is wrong with the cells of each. Empty optional fields
 * are null. A row of a wide table has one for each limb or side that it says something of.
 */
export function readRow(cells: readonly string[], mapping: Mapping, known: Known, by: ReadBy): ReadRow[] {
  const { wide } = mapping;
  if (!wide) return [readRecord(cells, mapping.kind, mapping.fields, {}, known, by)];
  const labels = new Map(fieldsOf(mapping.kind));
  return wide.branches
    .filter(({ fields }) =>
      Object.entries(fields).some(([id, mapped]) => {
        const field = labels.get(id);
        return field !== undefined && 'columns' in mapped.from && textOf(mapped, cells, field) !== '';
      }),
    )
    .map(({ value, fields }) =>
      readRecord(cells, mapping.kind, { ...mapping.fields, ...fields }, { [wide.field]: value }, known, by),
    );
}

/** One record of a row. @param given values that no cell says */
function readRecord(
  cells: readonly string[],
  kind: Mapping['kind'],
  mapped: MappedFields,
  given: Readonly<Record<string, unknown>>,
  known: Known,
  by: ReadBy,
): ReadRow {
  const bad: BadCell[] = [];
  const row: Record<string, unknown> = {};
  for (const [id, field] of fieldsOf(kind)) {
    if (id in given) {
      row[id] = given[id];
      continue;
    }
    const from = mapped[id];
    const text = from ? textOf(from, cells, field) : '';
    if (!from || text === '') {
      row[id] = null;
      if (!field.optional)
        bad.push({ field: id, reason: msg('{field} is empty. Fill it in.', { field: field.label }) });
      continue;
    }
    const read = readCell(id === 'person' ? personOf(text) : text, field, from, known, by);
    if ('reason' in read) bad.push({ field: id, reason: read.reason });
    else row[id] = read.value;
  }
  return bad.length > 0 ? { ok: false, bad } : { ok: true, row };
}

type ReadCell = { value: unknown } | { reason: Message };

function readCell(
  text: string,
  { label, reading }: TableField,
  { dateOrder, decimalMark, unit }: MappedField,
  known: Known,
  { units, today }: ReadBy,
): ReadCell {
  const shown = text.slice(0, 40);
  switch (reading.as) {
    case 'text':
      return text.length > reading.most
        ? {
            reason: msg('{field} is longer than {most} characters. Shorten it.', {
              field: label,
              most: reading.most,
            }),
          }
        : { value: text };
    case 'day': {
      const day = readDay(text, dateOrder ?? 'year-month-day');
      // “61” of a birth date is 1961, where 2061 is to come.
      if (day !== null && reading.isBirth && day > today && !/\d{4}/.test(text))
        return { value: `19${day.slice(2)}` };
      return day === null
        ? { reason: msg('“{shown}” is no date in this order. Write 2026-05-04.', { shown }) }
        : { value: day };
    }
    case 'time':
      return timeIn(text) ?? { reason: msg('“{shown}” is no time. Write 17:30.', { shown }) };
    case 'figure': {
      const figure = readFigure(text, decimalMark ?? 'point');
      if (figure === null)
        return { reason: msg('“{shown}” is no figure. Write it without letters.', { shown }) };
      const value = reading.unit === 'none' ? figure : inCore(figure, unit ?? units[reading.unit]);
      return boundedFigure(value, label, reading);
    }
    case 'figures':
      return figuresIn(text, label, reading, decimalMark ?? 'point');
    case 'word': {
      const word = wordIn<string>(WORDS[reading.of], text);
      return word === null ? { reason: NO_WORD[reading.of]({ shown }) } : { value: word };
    }
    case 'name': {
      const id = known[reading.of].get(plainWords(text));
      return id === undefined ? { reason: NO_NAME[reading.of]({ shown }) } : { value: id };
    }
  }
}

const WORDS = { limb: LIMB_WORDS, side: SIDE_WORDS, position: POSITION_WORDS, method: METHOD_WORDS };

/** What to write where a word is not known. */
const NO_WORD: Record<keyof typeof WORDS, (values: { shown: string }) => Message> = {
  limb: (values) =>
    msg('“{shown}” is no limb. Write one of: left arm, right arm, left thigh, right thigh.', values),
  side: (values) => msg('“{shown}” is no side. Write left, right or both.', values),
  position: (values) => msg('“{shown}” is no position. Write lying, sitting or standing.', values),
  method: (values) =>
    msg('“{shown}” is no method. Write Doppler, palpation, oximeter or automatic pump.', values),
};

const NO_NAME: Record<keyof Known, (values: { shown: string }) => Message> = {
  exercise: (values) =>
    msg('There is no exercise called “{shown}” here. Add it first, or write another.', values),
  measure: (values) =>
    msg('There is no measure called “{shown}” here. Add it first, or write another.', values),
  cuff: (values) => msg('There is no cuff called “{shown}” here. Add it first, or write another.', values),
};

function boundedFigure(
  value: number,
  label: Message,
  { least, most, whole }: Extract<TableField['reading'], { as: 'figure' }>,
): ReadCell {
  if (value < least || value > most)
    return {
      reason: msg('{field} of {value}: it lies between {least} and {most}. Check the figure and its unit.', {
        field: label,
        value,
        least,
        most,
      }),
    };
  return whole && !Number.isInteger(value)
    ? { reason: msg('{field} is a whole number.', { field: label }) }
    : { value };
}

/** Several figures in a cell, with spaces, strokes or semicolons between. @example figuresIn('30/15/15/15', …) //=> [30, 15, 15, 15] */
function figuresIn(
  text: string,
  label: Message,
  { least, most, mostOf }: Extract<TableField['reading'], { as: 'figures' }>,
  mark: 'point' | 'comma',
): ReadCell {
  const parts = text.split(mark === 'point' ? /[\s/;|,]+/ : BETWEEN).filter((part) => part !== '');
  const figures = parts.map((part) => readFigure(part, mark));
  if (figures.some((figure) => figure === null || figure < least || figure > most) || figures.length === 0)
    return {
      reason: msg('{field}: “{shown}” is not all figures from {least} to {most}. Write 30/15/15.', {
        field: label,
        shown: text.slice(0, 40),
        least,
        most,
      }),
    };
  return figures.length > mostOf
    ? { reason: msg('{field}: at most {mostOf} figures.', { field: label, mostOf }) }
    : { value: figures };
}

function timeIn(text: string): ReadCell | null {
  const found = /^(\d{1,2})[:.h](\d{2})$/.exec(text.trim());
  const [hours, minutes] = [Number(found?.[1]), Number(found?.[2])];
  return found && hours < 24 && minutes < 60
    ? { value: `${String(hours).padStart(2, '0')}:${String(minutes).padStart(2, '0')}` }
    : null;
}
