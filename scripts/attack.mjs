import { spawnSync } from 'node:child_process';
import { build, ROOT } from './set-up.mjs';

// What is tried too often for `npm test`: each row is a test or a proof, with how often. `npm run attack -- drafts` runs one.
const ATTACKS = {
  sessions: { runs: 20_000, tests: ['core/session/decide'] },
  drafts: { runs: 200_000, tests: ['core/plan/draft/any-draft.test.ts'] },
  remedies: { runs: 50_000, tests: ['core/plan/every-fix.test.ts'] },
  intervals: { runs: 30_000, tests: ['core/occlusion-pressure/coverage.test.ts'] },
  archives: { runs: 2_000, tests: ['server/interchange/archive'] },
  files: { runs: 6_000, tests: ['web/views/read-files.test.ts'] },
  requests: { runs: 100_000, tests: ['server/robustness.test.ts'] },
  ways: { runs: 4, tests: ['server/forbidden-clocks.test.ts', 'server/forbidden-by-file.test.ts'] },
  guesses: { runs: 10_000, tests: ['server/routes/sign-in.test.ts'] },
  backups: { runs: 40, tests: ['server/backup/backup.test.ts'] },
  kills: { runs: 1_000, script: 'scripts/prove/kills.ts' },
};

const asked = process.argv.slice(2);
build();
const figures = [];
for (const [name, { runs, tests, script }] of Object.entries(ATTACKS)) {
  if (asked.length > 0 && !asked.includes(name)) continue;
  console.log(`\n— ${name}, ${runs.toLocaleString('en')} times`);
  const began = performance.now();
  const command = tests ? ['vitest', 'run', ...tests, '--testTimeout=0'] : ['tsx', script, String(runs)];
  const { status } = spawnSync('npx', command, {
    cwd: ROOT,
    stdio: 'inherit',
    env: { ...process.env, NERVATO_ATTACK_RUNS: String(runs) },
  });
  figures.push({
    name,
    runs,
    minutes: ((performance.now() - began) / 60_000).toFixed(1),
    held: status === 0,
  });
}
console.table(figures);
process.exit(figures.every(({ held }) => held) ? 0 : 1);
