import { spawn } from 'node:child_process';
import { existsSync, readFileSync, rmSync } from 'node:fs';
import { CHROMIUM, installChromium, installPackages, ROOT } from './set-up.mjs';

// Type check, lint, unit and API tests, browser tests. All of them run even when one fails; the last line counts.

installPackages();
installChromium();
rmSync(`${ROOT}test-results`, { recursive: true, force: true });

const readReport = (file) =>
  existsSync(`${ROOT}${file}`) ? JSON.parse(readFileSync(`${ROOT}${file}`, 'utf8')) : null;

/** The tests of a suite of the report, and of the suites in it. */
const specsOf = ({ specs, suites = [] }) => [...specs, ...suites.flatMap(specsOf)];

/**
 * What is done one after the other; what is in one row is done side by side, since none of it keeps two cores busy. A step
 * without a count of its own is one test. A step that fails without a failed test counts as one, too. What needs a step that
 * failed is left out.
 */
const STEPS = [
  [
    { name: 'Build', command: ['node', 'scripts/build.mjs'] },
    { name: 'Demo practice', command: ['tsx', 'tests/prepare.ts'] },
    { name: 'Type check', command: ['npm', 'run', '--silent', 'typecheck'] },
    { name: 'Lint', command: ['npm', 'run', '--silent', 'lint'] },
  ],
  [
    {
      name: 'Unit and API tests',
      command: ['vitest', 'run'],
      count: () => {
        const report = readReport('test-results/vitest.json');
        return (
          report && {
            passed: report.numPassedTests,
            failed: report.numFailedTests,
            names: report.testResults.flatMap(({ name, assertionResults }) =>
              assertionResults
                .filter(({ status }) => status === 'failed')
                .map(({ fullName }) => `${name.replace(ROOT, '')}: ${fullName}`),
            ),
          }
        );
      },
    },
  ],
  [
    {
      name: 'Browser tests',
      needs: 'Build',
      command: ['playwright', 'test'],
      count: () => {
        const report = readReport('test-results/playwright.json');
        return (
          report && {
            passed: report.stats.expected + report.stats.flaky,
            failed: report.stats.unexpected,
            names: report.suites
              .flatMap(specsOf)
              .flatMap(({ file, title, ok }) => (ok ? [] : `${file}: ${title}`)),
          }
        );
      },
    },
  ],
];

/** Runs a step; what it prints comes at once where it is alone, and together at its end where others run beside it. */
function run({ name, command, count }, isAlone) {
  const began = performance.now();
  const title = `\n— ${name}`;
  if (isAlone) console.log(title);
  const child = spawn('npx', command, {
    cwd: ROOT,
    stdio: ['ignore', isAlone ? 'inherit' : 'pipe', isAlone ? 'inherit' : 'pipe'],
    env: { ...process.env, NERVATO_CHROMIUM: CHROMIUM },
  });
  let said = '';
  for (const stream of [child.stdout, child.stderr]) stream?.on('data', (text) => (said += text));
  return new Promise((done) => {
    child.once('close', (status) => {
      if (!isAlone) console.log(`${title}\n${said.trimEnd()}`);
      const counted = count?.() ?? { passed: status === 0 ? 1 : 0, failed: status === 0 ? 0 : 1 };
      const failed = status === 0 ? counted.failed : Math.max(1, counted.failed);
      done({
        name,
        passed: counted.passed,
        failed,
        names: failed === 0 ? [] : counted.names?.length ? counted.names : [name],
        seconds: Math.round((performance.now() - began) / 1_000),
      });
    });
  });
}

const results = [];
for (const beside of STEPS) {
  const able = beside.filter(
    ({ needs }) => !results.some(({ name, failed }) => name === needs && failed > 0),
  );
  results.push(...(await Promise.all(able.map((step) => run(step, able.length === 1)))));
}
const sum = (what) => results.reduce((total, result) => total + result[what], 0);
// What failed is said last, where a long log is read first.
for (const name of results.flatMap(({ names }) => names)) console.log(`FAILED ${name}`);
console.log(`\n${results.map(({ name, seconds }) => `${name} ${seconds} s`).join(', ')}`);
console.log(`${sum('passed')} passed, ${sum('failed')} failed`);
process.exit(sum('failed') > 0 ? 1 : 0);
