import { type ParseStepResult, parse } from 'papaparse';
import type { Encoding } from './table-file';

/** No cell is longer: a quote that is never closed swallows the rest of a file. */
const LONGEST_CELL = 50_000;

/** Goes through the rows of a file that are not empty, until `take` says that it is enough. */
export function eachRow(file: File, encoding: Encoding, take: (cells: string[]) => boolean): Promise<void> {
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
