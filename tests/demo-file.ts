import { spawnSync } from 'node:child_process';
import { existsSync, mkdirSync, readdirSync, renameSync, rmSync, statSync } from 'node:fs';
import { digestOf, ROOT } from '../scripts/sources.mjs';
import { AHEAD_MS, aheadOfNowMs, momentOfTests, ON_THE_FIXED_DAY, testsAheadMs } from './fixed-day';

const SOURCES = ['core', 'language', 'contract', 'server', 'demo'];
/** One of another day or of other sources is soon of no use. */
const MOST_KEPT = 6;
const KEPT_IN = `${ROOT}node_modules/.cache/nervato`;

let known: string | undefined;

/** The demo practice on the day of the tests, as a file to copy: made once, and again when its sources or the day change. */
export function demoFile(): string {
  known ??= makeDemoFile();
  return known;
}

function makeDemoFile(): string {
  const file = `${KEPT_IN}/demo-${digestOf(SOURCES, [momentOfTests()]).slice(0, 16)}.sqlite`;
  if (existsSync(file)) return file;
  mkdirSync(KEPT_IN, { recursive: true });
  // The second process makes another and puts it in the same place: no half of a file is ever found there.
  const made = `${file}.${process.pid}`;
  const { status } = spawnSync(process.execPath, [ON_THE_FIXED_DAY, '--import=tsx', 'demo/load-only.ts'], {
    cwd: ROOT,
    env: {
      ...process.env,
      NODE_ENV: 'production',
      NERVATO_DB: made,
      // It begins at the very moment of the tests, however long the run has been going on.
      [AHEAD_MS]: String(aheadOfNowMs() + testsAheadMs()),
    },
    stdio: 'inherit',
  });
  if (status !== 0) throw new Error('The demo practice did not load.');
  renameSync(made, file);
  for (const suffix of ['-lock', '-wal', '-shm']) rmSync(`${made}${suffix}`, { force: true });
  const madeMs = (name: string) => statSync(`${KEPT_IN}/${name}`).mtimeMs;
  const kept = readdirSync(KEPT_IN).filter((name) => name.endsWith('.sqlite'));
  for (const old of kept.sort((a, b) => madeMs(b) - madeMs(a)).slice(MOST_KEPT)) rmSync(`${KEPT_IN}/${old}`);
  return file;
}
