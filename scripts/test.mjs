import { spawnSync } from 'node:child_process';
import { existsSync, readFileSync, rmSync } from 'node:fs';
import { build, CHROMIUM, installChromium, installPackages, ROOT } from './set-up.mjs';

// Type check, lint, unit and API tests, browser tests. All of them run even when one fails; the last line counts.

installPackages();
installChromium();
rmSync(`${ROOT}test-results`, { recursive: true, force: true });

const passes = (command, args) =>
  spawnSync(command, args, {
    cwd: ROOT,
    stdio: 'inherit',
    env: { ...process.env, NERVATO_CHROMIUM: CHROMIUM },
  }).status === 0;

const readReport = (file) =>
  existsSync(`${ROOT}${file}`) ? JSON.parse(readFileSync(`${ROOT}${file}`, 'utf8')) : null;

/** A step without a count of its own is one test. A step that fails without a failed test counts as one, too. */
const STEPS = [
  { name: 'Type check', command: ['npm', ['run', '--silent', 'typecheck']] },
  { name: 'Lint', command: ['npm', ['run', '--silent', 'lint']] },
  {
    name: 'Unit and API tests',
    command: ['npx', ['vitest', 'run']],
    count: () => {
      const report = readReport('test-results/vitest.json');
      return report && { passed: report.numPassedTests, failed: report.numFailedTests };
    },
  },
  {
    name: 'Browser tests',
    command: ['npx', ['playwright', 'test']],
    count: () => {
      const stats = readReport('test-results/playwright.json')?.stats;
      return stats && { passed: stats.expected + stats.flaky, failed: stats.unexpected };
    },
  },
];

build();
let passed = 0;
let failed = 0;
for (const { name, command, count } of STEPS) {
  console.log(`\n— ${name}`);
  const ok = passes(...command);
  const counted = count?.() ?? { passed: ok ? 1 : 0, failed: ok ? 0 : 1 };
  passed += counted.passed;
  failed += ok ? counted.failed : Math.max(1, counted.failed);
}
console.log(`\n${passed} passed, ${failed} failed`);
process.exit(failed > 0 ? 1 : 0);
