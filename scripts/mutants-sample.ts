import { spawnSync } from 'node:child_process';
import { mkdirSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { parseArgs } from 'node:util';
import { Instrumenter } from '@stryker-mutator/instrumenter';
import { seededRandom } from '#core/simulation';
import { ROOT } from './sources.mjs';

// `npm run mutants:sample [-- --seed 7 --count 300]`: changes the code in places drawn by lot, and says which changes no test
// noticed. Each change is shown to the tests that pass through it, which a first run finds out.

const { values } = parseArgs({
  options: { seed: { type: 'string', default: '30' }, count: { type: 'string', default: '300' } },
});
const LEAST_KILLED = 0.88;
/** What is changed, and by which tests it is judged: a change of the core by its own, though many others pass through it. */
const PARTS = [
  { name: 'core', folders: ['core'], tests: 'scripts/mutants.config.ts' },
  {
    name: 'edges',
    folders: ['web/act', 'server/access', 'server/routes'],
    tests: 'scripts/mutants-edges.config.ts',
  },
];

type Place = { line: number; column: number };
type Mutant = { file: string; start: Place; end: Place; replacement: string };

const sources = (folder: string): string[] =>
  readdirSync(`${ROOT}${folder}`, { recursive: true, encoding: 'utf8' })
    .filter((file) => /\.ts$/.test(file) && !/\.(test|fixture|d)\.ts$/.test(file))
    .map((file) => join(folder, file))
    .sort();

const whole = JSON.parse(readFileSync(`${ROOT}stryker.config.json`, 'utf8'));

/** Every change that could be made, in the order of the files. Words are left out: no rule depends on how a sentence reads. */
async function allMutants(): Promise<Mutant[]> {
  const quiet = { debug() {}, info() {}, isDebugEnabled: () => false };
  const instrumenter = new Instrumenter(quiet as never);
  const found: Mutant[] = [];
  for (const file of PARTS.flatMap(({ folders }) => folders).flatMap(sources)) {
    const { mutants } = await instrumenter.instrument(
      [{ name: file, mutate: true, content: readFileSync(`${ROOT}${file}`, 'utf8') }],
      { plugins: null, ignorers: [], noHeader: true, ...whole.mutator },
    );
    for (const { location, replacement } of mutants) found.push({ file, ...location, replacement });
  }
  return found;
}

/** So many of them, drawn by a seed: the same seed on the same code draws the same. */
function drawn(mutants: Mutant[], count: number, seed: number): Mutant[] {
  const random = seededRandom(seed);
  const left = [...mutants];
  return Array.from({ length: Math.min(count, left.length) }, () =>
    left.splice(Math.floor(random() * left.length), 1),
  ).flat();
}

/** A place counts from 1 in the tool's ranges and its report, and from 0 where it finds its changes. */
const rangeOf = ({ file, start, end }: Mutant): string =>
  `${file}:${start.line + 1}:${start.column}-${end.line + 1}:${end.column}`;

type Judged = {
  status: string;
  replacement: string;
  location: { start: Place; end: Place };
};
type Report = { files: Record<string, { source: string; mutants: Judged[] }> };

/** What came of a change that was drawn; those that lie within it are judged as well, and counted by none. */
function statusOf({ files }: Report, { file, start, end, replacement }: Mutant): string {
  const is = (one: Place, other: Place) => one.line === other.line + 1 && one.column === other.column + 1;
  const judged = files[file]?.mutants.find(
    ({ location, replacement: with_ }) =>
      with_ === replacement && is(location.start, start) && is(location.end, end),
  );
  if (!judged) throw new Error(`${rangeOf({ file, start, end, replacement })} is not in the report.`);
  return judged.status;
}

/** Judges changes by some tests. @throws where the tests fail without any change */
function judge(name: string, tests: string, mutants: readonly Mutant[]): Report {
  const [config, report] = ['', '.report'].map((part) => `test-results/mutants-${name}${part}.json`);
  rmSync(`${ROOT}${report}`, { force: true });
  writeFileSync(
    `${ROOT}${config}`,
    JSON.stringify({
      ...whole,
      vitest: { configFile: tests },
      mutate: mutants.map(rangeOf),
      incremental: false,
      reporters: ['progress-append-only', 'json'],
      jsonReporter: { fileName: report },
      dryRunTimeoutMinutes: 15,
      thresholds: { high: 100, low: 90, break: null },
    }),
  );
  const { status } = spawnSync('npx', ['stryker', 'run', `${config}`], { cwd: ROOT, stdio: 'inherit' });
  if (status !== 0) throw new Error(`The mutants of ${name} were not judged.`);
  return JSON.parse(readFileSync(`${ROOT}${report}`, 'utf8'));
}

const began = performance.now();
const all = await allMutants();
const sample = drawn(all, Number(values.count), Number(values.seed));
console.log(`${sample.length} of ${all.length} changes, drawn by seed ${values.seed}.`);
mkdirSync(`${ROOT}test-results`, { recursive: true });
const report: Report = { files: {} };
for (const { name, folders, tests } of PARTS) {
  const mine = sample.filter(({ file }) => folders.some((folder) => file.startsWith(`${folder}/`)));
  if (mine.length > 0) Object.assign(report.files, judge(name, tests, mine).files);
}
const of = (...statuses: string[]) => sample.filter((mutant) => statuses.includes(statusOf(report, mutant)));
const [killed, alive] = [of('Killed', 'Timeout', 'RuntimeError'), of('Survived', 'NoCoverage')];
const short = (code: string) => code.replaceAll(/\s+/g, ' ').slice(0, 160);
for (const { file, start, replacement } of alive) {
  const line = readFileSync(`${ROOT}${file}`, 'utf8').split('\n')[start.line] ?? '';
  console.log(`alive  ${file}:${start.line + 1}\n  - ${short(line)}\n  + ${short(replacement)}`);
}
const judged = killed.length + alive.length;
const minutes = ((performance.now() - began) / 60_000).toFixed(1);
console.log(
  `${killed.length} of ${judged} killed (${((100 * killed.length) / judged).toFixed(1)} %), ${alive.length} alive, in ${minutes} min. ${sample.length - judged} more change what is read once, as tables are, and were not judged.`,
);
process.exitCode = killed.length / judged >= LEAST_KILLED ? 0 : 1;
