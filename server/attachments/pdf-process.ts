import { execFile } from 'node:child_process';
import { existsSync } from 'node:fs';
import { dirname, join } from 'node:path';

/** Beside the server where it is built; else the source, as in tests and where one develops. */
const BUILT = join(dirname(process.argv[1] ?? ''), 'clean-pdf.js');
const PROGRAM = existsSync(BUILT) ? [BUILT] : ['--import', 'tsx', `${import.meta.dirname}/clean-pdf.ts`];

/** What was made to take long is ended; a slow machine with much else to do has far more time than it needs. */
const MOST_MS = 120_000;
const MOST_HEAP = '--max-old-space-size=512';
/** What is written again is seldom larger than it was. */
const MOST_BYTES = 64 * 1024 * 1024;

let last: Promise<unknown> = Promise.resolve();

/**
 * A PDF without metadata (`pdfWithoutMetadata`), in a process of its own with a bound on what it unpacks to, one after the other: a few
 * kilobytes can unpack to gigabytes, and then it is that process that ends, while the server answers.
 * @throws Error where it cannot be read as a PDF
 */
export function pdfInProcess(file: Buffer): Promise<Buffer> {
  const cleaned = last.then(() => run(file));
  last = cleaned.catch(() => undefined);
  return cleaned;
}

const run = (file: Buffer): Promise<Buffer> =>
  new Promise((resolve, reject) => {
    const child = execFile(
      process.execPath,
      [MOST_HEAP, ...PROGRAM],
      { encoding: 'buffer', timeout: MOST_MS, killSignal: 'SIGKILL', maxBuffer: MOST_BYTES },
      (error, cleaned) => (error ? reject(error) : resolve(cleaned)),
    );
    // One that has ended already takes no more; why it ended is said above.
    child.stdin?.on('error', () => undefined);
    child.stdin?.end(file);
  });
