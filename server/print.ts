import { execFile } from 'node:child_process';
import { existsSync } from 'node:fs';
import { mkdtemp, readFile, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { promisify } from 'node:util';
import { msg } from '#core/message';
import { inTurn } from './in-turn';
import { Problem } from './problem';

const run = promisify(execFile);

/** Prints a page of this server as PDF. @param path from the root, such as /print?… */
export type Print = (path: string) => Promise<Uint8Array<ArrayBuffer>>;

/** A page that takes longer than this to be at rest is not printed. */
const PATIENCE_MS = 30_000;
/** So much of the page's own time may pass before it is printed; it ends with the last request. */
const PAGE_MS = 8_000;

/**
 * A printer by the headless Chromium of this machine, one page after the other; null where there is none, and then browsers
 * print by themselves.
 * @param origin where this server is reached from this machine
 */
export function chromiumPrint(chromium: string, origin: string): Print | null {
  if (!existsSync(chromium)) return null;
  const next = inTurn();
  return (path) => next(() => printPage(chromium, `${origin}${path}`).catch(notPrinted));
}

function notPrinted(): never {
  throw new Problem(
    503,
    msg('Not printed'),
    msg('The server could not print it. Print it from the browser instead.'),
  );
}

async function printPage(chromium: string, url: string): Promise<Uint8Array<ArrayBuffer>> {
  const folder = await mkdtemp(join(tmpdir(), 'nervato-print-'));
  try {
    const file = join(folder, 'page.pdf');
    const args = [
      '--headless',
      '--no-sandbox',
      '--disable-gpu',
      '--disable-background-networking',
      '--no-pdf-header-footer',
      // It asks this very process over the loopback, whatever name the certificate is for.
      ...(url.startsWith('https:') ? ['--ignore-certificate-errors'] : []),
      `--user-data-dir=${join(folder, 'profile')}`,
      `--virtual-time-budget=${PAGE_MS}`,
      `--print-to-pdf=${file}`,
      url,
    ];
    await run(chromium, args, { timeout: PATIENCE_MS, killSignal: 'SIGKILL' });
    return new Uint8Array(await readFile(file));
  } finally {
    await rm(folder, { recursive: true, force: true });
  }
}
