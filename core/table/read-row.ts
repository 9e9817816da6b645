import { type Message, msg } from '../message/message';
import { toDecimals } from '../quantity/rounding';
import { inToCm, lbToKg } from '../quantity/units';
import { readDay } from './day';
import { readFigure } from './number';
import { BETWEEN, type ColumnUnit, type Mapping } from './recognise';
import { fieldsOf, type TableField } from './tables';
import { LIMB_WORDS, METHOD_WORDS, POSITION_WORDS, plainWords, SIDE_WORDS, wordIn } from './words';

/** What has a name in the practice: ids by their plain words. */
export type Known = Record<'exercise' | 'measure' | 'cuff', ReadonlyMap<string, string>>;

/** What keeps a cell from being read: the field, what is wrong, how to correct it. */
export type BadCell = { field: string; reason: Message };

export type ReadRow = { ok: true; row: Record<string, unknown> } | { ok: false; bad: BadCell[] };

/**
 * A row of a table as it will be stored, in cm and kg, or what is wrong with each of its cells. Empty optional fields are null.
 * @param units what columns without a unit of their own are in
 */
export function readRow(
  cells: readonly string[],
  mapping: Mapping,
  known: Known,
  units: { mass: ColumnUnit; length: ColumnUnit },
): ReadRow {
  const bad: BadCell[] = [];
  const row: Record<string, unknown> = {};
  for (const [id, field] of fieldsOf(mapping.kind)) {
    const mapped = mapping.columns[id];
    const text = (mapped ? (cells[mapped.column] ?? '') : '').trim();
    if (text === '') {
      row[id] = null;
      if (!field.optional)
        bad.push({ field: id, reason: msg('{field} is empty. Fill it in.', { field: field.label }) });
      continue;
    }
    const read = readCell(text, field, mapping, known, mapped?.unit ?? null, units);
    if ('reason' in read) bad.push({ field: id, reason: read.reason });
    else row[id] = read.value;
  }
  return bad.length > 0 ? { ok: false, bad } : { ok: true, row };
}

type ReadCell = { value: unknown } | { reason: Message };

function readCell(
  text: string,
  { label, reading }: TableField,
  { dateOrder, decimalMark }: Mapping,
  known: Known,
  unit: ColumnUnit | null,
  units: { mass: ColumnUnit; length: ColumnUnit },
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

/** Figures of the core: kg and cm. */
function inCore(figure: number, unit: ColumnUnit): number {
  const factors: Record<ColumnUnit, (value: number) => number> = {
    kg: (value) => value,
    lb: lbToKg,
    cm: (value) => value,
    mm: (value) => value / 10,
    in: inToCm,
  };
  return toDecimals(factors[unit](figure), 2);
}

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
