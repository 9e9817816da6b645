import { execFile } from 'node:child_process';
import { existsSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { promisify } from 'node:util';
import { inTurn } from '../in-turn';

const run = promisify(execFile);

/** Beside the server where it is built; else the source, as in tests and where one develops. */
const BUILT = join(dirname(process.argv[1] ?? ''), 'clean-pdf.js');
const PROGRAM = existsSync(BUILT) ? [BUILT] : ['--import', 'tsx', `${import.meta.dirname}/clean-pdf.ts`];

/** What was made to take long is ended; a slow machine with much else to do has far more time than it needs. */
const MOST_MS = 120_000;
const MOST_HEAP = '--max-old-space-size=512';
/** What is written again is seldom larger than it was. */
const MOST_BYTES = 64 * 1024 * 1024;

const next = inTurn();

/**
 * A PDF without metadata (`pdfWithoutMetadata`), in a process of its own with a bound on what it unpacks to, one after the other: a few
 * kilobytes can unpack to gigabytes, and then it is that process that ends, while the server answers.
 * @throws Error where it cannot be read as a PDF
 */
export const pdfInProcess = (file: Buffer): Promise<Buffer> =>
  next(async () => {
    const cleaning = run(process.execPath, [MOST_HEAP, ...PROGRAM], {
      encoding: 'buffer',
      timeout: MOST_MS,
      killSignal: 'SIGKILL',
      maxBuffer: MOST_BYTES,
    });
    // One that has ended already takes no more; why it ended is said by what is awaited.
    cleaning.child.stdin?.on('error', () => undefined);
    cleaning.child.stdin?.end(file);
    return (await cleaning).stdout;
  });
