import { expose } from 'comlink';
import { type ParseStepResult, parse, unparse } from 'papaparse';
import { type BadCell, type ColumnUnit, type Known, type Mapping, readRow } from '#core/table';
import { type Encoding, encodingOf } from './table-file';

const SAMPLE_ROWS = 200;
const MOST_ROWS = 200_000;
const MOST_BAD_KEPT = 20_000;
/** No cell is longer: a quote that is never closed swallows the rest of a file. */
const LONGEST_CELL = 50_000;
const FIRST_BYTES = 64 * 1024;

/** A table as it begins. */
export type Look = { headings: string[]; rows: string[][]; encoding: Encoding };

/** A row that cannot be read: its line among the rows, from 1, its cells, and what is wrong. */
export type BadRow = { row: number; cells: string[]; bad: BadCell[] };

/** A table as it was read: good rows as lines of JSON, with which row of the file each is, and those that are not. */
export type ReadTable = { total: number; good: Blob; goodRows: number[]; bad: BadRow[] };

type Units = { mass: ColumnUnit; length: ColumnUnit };

const tables = {
  /** The headings and the first rows of a file. @throws Error with what is wrong, in words */
  async look(file: File): Promise<Look> {
    const encoding = encodingOf(new Uint8Array(await file.slice(0, FIRST_BYTES).arrayBuffer()));
    const rows: string[][] = [];
    await eachRow(file, encoding, (cells) => {
      rows.push(cells);
      return rows.length <= SAMPLE_ROWS;
    });
    const [headings, ...others] = rows;
    if (!headings || headings.every((heading) => heading.trim() === ''))
      throw new Error('The file has no headings: its first row is empty. Give each column a name.');
    if (others.length === 0) throw new Error('There is nothing below the headings.');
    return { headings, rows: others, encoding };
  },

  /** All rows of a file by a mapping. @param onProgress how many rows were read, now and then */
  async read(
    file: File,
    encoding: Encoding,
    mapping: Mapping,
    known: Known,
    units: Units,
    onProgress: (rows: number) => void,
  ): Promise<ReadTable> {
    const lines: string[] = [];
    const goodRows: number[] = [];
    const bad: BadRow[] = [];
    let total = -1;
    await eachRow(file, encoding, (cells) => {
      total += 1;
      // The first are the headings.
      if (total === 0) return true;
      if (total > MOST_ROWS)
        throw new Error(`More than ${MOST_ROWS.toLocaleString('en')} rows. Split the file into several.`);
      const read = readRow(cells, mapping, known, units);
      if (read.ok) {
        lines.push(`${JSON.stringify(read.row)}\n`);
        goodRows.push(total);
      } else if (bad.length < MOST_BAD_KEPT) bad.push({ row: total, cells, bad: read.bad });
      if (total % 5_000 === 0) onProgress(total);
      return true;
    });
    onProgress(Math.max(0, total));
    return { total: Math.max(0, total), good: new Blob(lines), goodRows, bad };
  },

  /** Rows that were refused as a table to correct, with what is wrong in a column of its own. */
  toCorrect(
    headings: readonly string[],
    rows: readonly { cells: string[]; why: string }[],
    isSemicolon: boolean,
  ): string {
    const padded = rows.map(({ cells, why }) => [...headings.map((_, at) => cells[at] ?? ''), why]);
    return unparse([[...headings, 'What to correct'], ...padded], {
      delimiter: isSemicolon ? ';' : ',',
      escapeFormulae: true,
    });
  },

  /** The cells of some rows of a file, by their numbers. */
  async cellsOf(file: File, encoding: Encoding, wanted: readonly number[]): Promise<Map<number, string[]>> {
    const left = new Set(wanted);
    const found = new Map<number, string[]>();
    let row = -1;
    await eachRow(file, encoding, (cells) => {
      row += 1;
      if (left.delete(row)) found.set(row, cells);
      return left.size > 0;
    });
    return found;
  },
};
export type Tables = typeof tables;

/** Goes through the rows of a file that are not empty, until `take` says that it is enough. */
function eachRow(file: File, encoding: Encoding, take: (cells: string[]) => boolean): Promise<void> {
  return new Promise((resolve, reject) => {
    parse<string[]>(file, {
      encoding,
      skipEmptyLines: 'greedy',
      step: ({ data, errors }: ParseStepResult<string[]>, parser) => {
        try {
          const longest = Math.max(0, ...data.map((cell) => cell.length));
          if (longest > LONGEST_CELL || errors.some(({ code }) => code === 'MissingQuotes'))
            throw new Error(UNCLOSED);
          if (!take(data.map(undone))) parser.abort();
        } catch (error) {
          // In this order: what is given up counts as complete.
          reject(error);
          parser.abort();
        }
      },
      complete: () => resolve(),
      error: reject,
    });
  });
}

const UNCLOSED =
  'A quotation mark is opened and never closed, so that no row can be separated from the next. Close it where a cell begins with one.';

/** A cell that was made harmless for spreadsheets says again what it said. */
const undone = (cell: string): string => cell.replace(/^\ufeff/, '').replace(/^'(?=[=+\-@])/, '');

expose(tables);
