import { spawn } from 'node:child_process';
import { cpSync, mkdirSync, readdirSync, readFileSync, rmSync, symlinkSync, writeFileSync } from 'node:fs';
import { basename, dirname, join } from 'node:path';
import { parseArgs } from 'node:util';
import { Instrumenter } from '@stryker-mutator/instrumenter';
import { seededRandom } from '#core/simulation/random';
import { ROOT } from './sources.mjs';

// `npm run mutants:sample [-- --seed 7 --count 300]`: changes the code in places drawn by lot, one at a time, and says which
// changes no test noticed. The nearest tests are asked first; what they let live is shown to the tests of the whole layer.

const { values } = parseArgs({
  options: { seed: { type: 'string', default: '30' }, count: { type: 'string', default: '300' } },
});
const LEAST_KILLED = 0.88;
const SIDE_BY_SIDE = 2;
/** A change may make a loop endless: a run that takes this much longer than usual has noticed it. */
const MOST_MS = { near: 90_000, far: 300_000 };

/** Where changes are made, and which tests are asked of each once the nearest have noticed nothing. */
const LAYERS = [
  { from: 'core', tests: ['core/'] },
  { from: 'web/act', tests: ['web/'] },
  { from: 'server/access', tests: ['server/'] },
  { from: 'server/routes', tests: ['server/'] },
];
const COPIED = ['core', 'contract', 'server', 'web', 'demo', 'scripts', 'tests', 'docs'];
const CONFIG = ['package.json', 'tsconfig.json', 'vitest.config.ts', 'lingui.config.ts'];

type Place = { line: number; column: number };
type Mutant = {
  file: string;
  layer: (typeof LAYERS)[number];
  start: Place;
  end: Place;
  replacement: string;
  /** Whether what is put in stands for statements: everything else is kept apart from its neighbours by brackets. */
  isStatement: boolean;
};
type Outcome = 'killed near' | 'killed far' | 'alive';

const sources = (folder: string): string[] =>
  readdirSync(`${ROOT}${folder}`, { recursive: true, encoding: 'utf8' })
    .filter((file) => /\.ts$/.test(file) && !/\.(test|fixture|d)\.ts$/.test(file))
    .map((file) => join(folder, file))
    .sort();

/** Every change that could be made, in the order of the files. Words are left out: no rule depends on how a sentence reads. */
async function allMutants(): Promise<Mutant[]> {
  const quiet = { debug() {}, info() {}, isDebugEnabled: () => false };
  const instrumenter = new Instrumenter(quiet as never);
  const found: Mutant[] = [];
  for (const layer of LAYERS) {
    for (const file of sources(layer.from)) {
      const { mutants } = await instrumenter.instrument(
        [{ name: file, mutate: true, content: readFileSync(`${ROOT}${file}`, 'utf8') }],
        { plugins: null, excludedMutations: ['StringLiteral'], ignorers: [], noHeader: true },
      );
      for (const { location, replacement, mutatorName } of mutants) {
        const isStatement = mutatorName === 'BlockStatement' || /^(case|default)\b/.test(replacement);
        found.push({ file, layer, start: location.start, end: location.end, replacement, isStatement });
      }
    }
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

function offsetOf(text: string, { line, column }: Place): number {
  const lines = text.split('\n');
  return lines.slice(0, line).reduce((sum, one) => sum + one.length + 1, 0) + column;
}

function changed(text: string, { start, end, replacement, isStatement }: Mutant): string {
  const put = isStatement ? replacement : `(${replacement})`;
  return text.slice(0, offsetOf(text, start)) + put + text.slice(offsetOf(text, end));
}

/** A copy of the code in which changes are made, so that nobody's work tree is touched. */
function copyOf(number: number): string {
  const copy = `${ROOT}test-results/mutants-${number}/`;
  rmSync(copy, { recursive: true, force: true });
  mkdirSync(copy, { recursive: true });
  for (const folder of COPIED) cpSync(`${ROOT}${folder}`, `${copy}${folder}`, { recursive: true });
  for (const file of CONFIG) cpSync(`${ROOT}${file}`, `${copy}${file}`);
  symlinkSync(`${ROOT}node_modules`, `${copy}node_modules`);
  return copy;
}

/** Whether all of some tests pass in a copy; a run that does not end in time does not pass. */
function passes(copy: string, tests: readonly string[], mostMs: number): Promise<boolean> {
  return new Promise((done) => {
    const child = spawn(
      process.execPath,
      [
        'node_modules/vitest/vitest.mjs',
        'run',
        ...tests,
        '--bail=1',
        '--maxWorkers=1',
        '--reporter=dot',
        // They load the demo practice anew for each change of the code, or kill processes, and prove no rule that others do not.
        '--exclude=demo/**',
        '--exclude=server/backup/**',
        '--exclude=server/interchange/**',
      ],
      {
        cwd: copy,
        stdio: 'ignore',
        detached: true,
        env: { ...process.env, NERVATO_ATTACK_RUNS: '60', NERVATO_TEST_SEED: '1' },
      },
    );
    const timer = setTimeout(() => process.kill(-(child.pid ?? 0), 'SIGKILL'), mostMs);
    child.once('exit', (code) => {
      clearTimeout(timer);
      done(code === 0);
    });
  });
}

async function judge(copy: string, mutant: Mutant): Promise<Outcome> {
  const path = `${copy}${mutant.file}`;
  const text = readFileSync(path, 'utf8');
  writeFileSync(path, changed(text, mutant));
  try {
    const near = testsBeside(mutant.file);
    if (near.length > 0 && !(await passes(copy, near, MOST_MS.near))) return 'killed near';
    return (await passes(copy, mutant.layer.tests, MOST_MS.far)) ? 'alive' : 'killed far';
  } finally {
    writeFileSync(path, text);
  }
}

/** The tests that stand in the folder of a file and name it, or where none does all that stand there. */
function testsBeside(file: string): string[] {
  const folder = dirname(file);
  const tests = readdirSync(`${ROOT}${folder}`)
    .filter((name) => name.endsWith('.test.ts'))
    .map((name) => `${folder}/${name}`);
  const naming = tests.filter((test) =>
    readFileSync(`${ROOT}${test}`, 'utf8').includes(`'./${basename(file, '.ts')}'`),
  );
  return naming.length > 0 ? naming : tests;
}

const began = performance.now();
const all = await allMutants();
const sample = drawn(all, Number(values.count), Number(values.seed));
console.log(`${sample.length} of ${all.length} changes, drawn by seed ${values.seed}.`);
const outcomes = new Map<Mutant, Outcome>();
const left = [...sample];
await Promise.all(
  Array.from({ length: SIDE_BY_SIDE }, async (_, number) => {
    const copy = copyOf(number);
    for (let next = left.shift(); next; next = left.shift()) {
      outcomes.set(next, await judge(copy, next));
      if (outcomes.size % 25 === 0) console.log(`${outcomes.size} judged`);
    }
    rmSync(copy, { recursive: true, force: true });
  }),
);

const alive = sample.filter((mutant) => outcomes.get(mutant) === 'alive');
for (const mutant of alive) {
  const text = readFileSync(`${ROOT}${mutant.file}`, 'utf8');
  const was = text.slice(offsetOf(text, mutant.start), offsetOf(text, mutant.end));
  const short = (code: string) => code.replaceAll(/\s+/g, ' ').slice(0, 160);
  console.log(
    `alive  ${mutant.file}:${mutant.start.line + 1}\n  - ${short(was)}\n  + ${short(mutant.replacement)}`,
  );
}
const share = 1 - alive.length / sample.length;
const minutes = ((performance.now() - began) / 60_000).toFixed(1);
console.log(
  `${sample.length - alive.length} of ${sample.length} killed (${(share * 100).toFixed(1)} %), ${alive.length} alive, in ${minutes} min.`,
);
process.exitCode = share >= LEAST_KILLED ? 0 : 1;
