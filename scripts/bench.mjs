import { existsSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { availableParallelism, cpus } from 'node:os';
import { build, installChromium, installPackages, makeFolder, ROOT, run } from './set-up.mjs';

// Prints what things cost, as ratios measured in one run on this machine, and writes them to docs/bench.md.
// `npm run bench -- at-size` measures one file only and writes nothing.
installPackages();
installChromium();
build();

const FILES = [
  'append-events',
  'fold-log',
  'plan-session',
  'at-size',
  'first-view',
  'interactions',
  'device-stream',
  'floor-live',
  'outcomes',
];
const asked = process.argv.slice(2);
const lines = `${ROOT}test-results/bench.jsonl`;
makeFolder('test-results');
rmSync(lines, { force: true });
for (const file of asked.length > 0 ? asked : FILES) {
  run('npx', ['tsx', `scripts/bench/${file}.ts`], { NERVATO_BENCH_LINES: lines });
}
if (asked.length === 0 && existsSync(lines)) {
  const rows = readFileSync(lines, 'utf8')
    .trim()
    .split('\n')
    .map((line) => JSON.parse(line))
    .map(({ what, figure, goal }) => `| ${what} | ${figure} | ${goal} |`);
  writeFileSync(
    `${ROOT}docs/bench.md`,
    `# What things cost

Measured by \`npm run bench\` on ${availableParallelism()} cores (${cpus()[0]?.model ?? 'unknown'}), Node.js ${process.versions.node}, on ${new Date().toISOString().slice(0, 10)}. Ratios are taken within one run, so they hold on other machines; times do not, and on a machine that is shared with others they vary by half from run to run. The practices of 500 and 5,000 people are made by \`npm run generate\`: each person repeats a course of sixteen sessions in eight weeks, four times a year. In the bench sessions older than four weeks (500 people) or one week (5,000) keep no events: no list reads them.

| what | measured | goal |
|---|---|---|
${rows.join('\n')}
`,
  );
  console.log('Written to docs/bench.md.');
}
