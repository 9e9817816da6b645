import { expose } from 'comlink';
import { unparse } from 'papaparse';
import { type BadCell, type Known, type Mapping, type ReadBy, readRow } from '#core/table';
import { eachRow } from './each-row';
import { type Encoding, encodingOf } from './table-file';

const SAMPLE_ROWS = 200;
const MOST_ROWS = 200_000;
const MOST_BAD_KEPT = 20_000;
const FIRST_BYTES = 64 * 1024;

/** A table as it begins. */
export type Look = { headings: string[]; rows: string[][]; encoding: Encoding };

/** A row that cannot be read: its line among the rows, from 1, its cells, and what is wrong. */
export type BadRow = { row: number; cells: string[]; bad: BadCell[] };

/** A table as it was read: how many records it has, the good ones as lines of JSON with which row of the file each is, and the others. */
export type ReadTable = { total: number; good: Blob; goodRows: number[]; bad: BadRow[] };

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
    by: ReadBy,
    onProgress: (rows: number) => void,
  ): Promise<ReadTable> {
    const lines: string[] = [];
    const goodRows: number[] = [];
    const bad: BadRow[] = [];
    let [row, total] = [-1, 0];
    await eachRow(file, encoding, (cells) => {
      row += 1;
      // The first are the headings.
      if (row === 0) return true;
      if (row > MOST_ROWS)
        throw new Error(`More than ${MOST_ROWS.toLocaleString('en')} rows. Split the file into several.`);
      for (const read of readRow(cells, mapping, known, by)) {
        total += 1;
        if (read.ok) {
          lines.push(`${JSON.stringify(read.row)}\n`);
          goodRows.push(row);
        } else if (bad.length < MOST_BAD_KEPT) bad.push({ row, cells, bad: read.bad });
      }
      if (row % 5_000 === 0) onProgress(row);
      return true;
    });
    onProgress(Math.max(0, row));
    return { total, good: new Blob(lines), goodRows, bad };
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

expose(tables);
