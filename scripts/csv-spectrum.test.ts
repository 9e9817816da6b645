import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { dirname, join } from 'node:path';
import { afterAll, beforeAll, expect, it, vi } from 'vitest';
import { eachRow } from '../web/workers/each-row';

/** Files that other readers of CSV have tripped over, each with what is in it. */
const require = createRequire(import.meta.url);
const SPECTRUM = dirname(require.resolve('csv-spectrum'));
const read = (...path: string[]) => readFileSync(join(SPECTRUM, ...path));

// A browser reads files so; Node.js has none of it.
class ReaderOfFiles {
  onload: ((event: { target: { result: string } }) => void) | null = null;
  readAsText(file: Blob, encoding: string): void {
    void file
      .arrayBuffer()
      .then((bytes) => this.onload?.({ target: { result: new TextDecoder(encoding).decode(bytes) } }));
  }
}
beforeAll(() => void vi.stubGlobal('FileReader', ReaderOfFiles));
afterAll(() => void vi.unstubAllGlobals());

const rowsOf = async (bytes: Uint8Array<ArrayBuffer>): Promise<string[][]> => {
  const rows: string[][] = [];
  await eachRow(new File([bytes], 'table.csv'), 'utf-8', (cells) => rows.push(cells) > 0);
  return rows;
};

it.each([
  ...['comma_in_quotes', 'empty', 'empty_crlf', 'escaped_quotes', 'json', 'location_coordinates'],
  ...['newlines', 'newlines_crlf', 'quotes_and_newlines', 'simple', 'simple_crlf', 'utf8'],
])('reads %s as it is meant', async (name) => {
  const [headings = [], ...rows] = await rowsOf(new Uint8Array(read('csvs', `${name}.csv`)));
  const records = rows.map((cells) =>
    Object.fromEntries(headings.map((heading, at) => [heading, cells[at] ?? ''])),
  );
  const meant = [JSON.parse(read('json', `${name}.json`).toString('utf8'))].flat();
  // What the package says of this number is not what its file has.
  if (name === 'location_coordinates') meant[0]['Contact Phone Number'] = '2095257564';
  expect(records).toEqual(meant);
});

it('says so where a quotation mark is never closed', async () => {
  await expect(rowsOf(new TextEncoder().encode('a,b\n"1,2\n3,4\n'))).rejects.toThrow(/never closed/);
});
