import { spawnSync } from 'node:child_process';
import { existsSync, mkdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { digestOf, ROOT } from './sources.mjs';

// Runs before anything is installed, so it uses nothing but Node.js.

export { ROOT };

/** Chromium without a window is much lighter than the one people use, which draws a window that is not seen. */
const HEADLESS = '/usr/bin/chromium-headless-shell';
const USUAL = '/usr/bin/chromium';
export const CHROMIUM =
  process.env.NERVATO_CHROMIUM ?? (existsSync(HEADLESS) || !existsSync(USUAL) ? HEADLESS : USUAL);
const STAMP = 'node_modules/.nervato-installed';

/** Runs a command with its output shown; ends the process when it fails. */
export function run(command, args, env = {}) {
  const { status } = spawnSync(command, args, {
    cwd: ROOT,
    stdio: 'inherit',
    env: { ...process.env, ...env },
  });
  if (status !== 0) process.exit(status ?? 1);
}

/**
 * Installs the packages of the lock file, unless exactly these are there already; needs no network then.
 * @param {'all' | 'to run'} which what the app is built and run with is half of all
 */
export function installPackages(which = 'all') {
  const [major = 0, minor = 0] = process.versions.node.split('.').map(Number);
  if (major < 20 || (major === 20 && minor < 19)) {
    console.error(`Nervato needs Node.js 20.19 or newer; this is ${process.versions.node}.`);
    process.exit(1);
  }
  const lock = digestOf([], [readFileSync(`${ROOT}package-lock.json`, 'utf8')]);
  const stamp = `${ROOT}${STAMP}`;
  const stamped = existsSync(stamp) ? readFileSync(stamp, 'utf8') : '';
  if ([`all ${lock}`, `${which} ${lock}`].includes(stamped)) return;
  // Not `npm ci`: it refuses a lock file made where a registry lacks the binaries of other platforms.
  run('npm', [
    'install',
    '--no-save',
    '--no-audit',
    '--no-fund',
    '--loglevel=error',
    ...(which === 'to run' ? ['--omit=dev'] : []),
  ]);
  writeFileSync(stamp, `${which} ${lock}`);
}

/** Makes sure a Chromium is there for the browser tests, from Debian's packages where that is allowed. */
export function installChromium() {
  if (existsSync(CHROMIUM)) return;
  const isRoot = process.getuid?.() === 0;
  if (isRoot && existsSync('/usr/bin/apt-get')) {
    console.log('Installing Chromium from Debian’s packages …');
    spawnSync('apt-get', ['update', '-qq'], { stdio: 'inherit' });
    spawnSync('apt-get', ['install', '-y', '-qq', 'chromium-headless-shell'], {
      stdio: ['ignore', 'ignore', 'inherit'],
      env: { ...process.env, DEBIAN_FRONTEND: 'noninteractive' },
    });
  }
  if (!existsSync(CHROMIUM)) {
    console.error(
      `The browser tests need Chromium at ${CHROMIUM}. Install it (Debian: apt-get install chromium-headless-shell), or name yours in NERVATO_CHROMIUM.`,
    );
    process.exit(1);
  }
}

// All that a build is made from.
const SOURCES = ['core', 'language', 'contract', 'server', 'web', 'demo'];
const BUILT_BY = [
  'package.json',
  'package-lock.json',
  'vite.config.ts',
  'scripts/compress.mjs',
  'scripts/few-files.ts',
  'scripts/offline-plugin.ts',
  'scripts/server-build.ts',
  'scripts/lingui-macros.ts',
];

/** Builds the interface and the server into dist/, unless exactly these sources are built there already. */
export function build() {
  const stamp = `${ROOT}dist/.nervato-built`;
  const sources = digestOf(
    SOURCES,
    BUILT_BY.map((file) => readFileSync(`${ROOT}${file}`, 'utf8')),
  );
  if (existsSync(stamp) && readFileSync(stamp, 'utf8') === sources) return;
  // A build that breaks off leaves no stamp of the one before.
  rmSync(stamp, { force: true });
  run('npm', ['run', '--silent', 'build']);
  writeFileSync(stamp, sources);
}

export function makeFolder(path) {
  mkdirSync(`${ROOT}${path}`, { recursive: true });
}
