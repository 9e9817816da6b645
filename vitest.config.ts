import { defineConfig } from 'vitest/config';
import { linguiMacros } from './scripts/lingui-macros.ts';
import { liveOnTheFixedDay } from './tests/fixed-day.ts';
import { patientMs } from './tests/patience.ts';
import { testSeed } from './tests/seed.ts';

// What the workers start with; each moves its own clock.
liveOnTheFixedDay();
console.log(`Property tests draw by NERVATO_TEST_SEED=${testSeed()}.`);

const ALL = ['{core,language,contract,server,web,demo,scripts}/**/*.test.ts'];
/** What stands in for a browser's globals, or loads a module again, wants a process of its own. */
const OF_THEIR_OWN = ['web/{act,data,parts}/**/*.test.ts'];

export default defineConfig({
  plugins: [linguiMacros()],
  test: {
    projects: [
      {
        // One process for many files: the core is read once rather than for each of them, which is half of the time.
        extends: true,
        test: { name: 'shared', include: ALL, exclude: OF_THEIR_OWN, isolate: false },
      },
      { extends: true, test: { name: 'own', include: OF_THEIR_OWN } },
    ],
    environment: 'node',
    setupFiles: ['tests/vitest.setup.ts', 'web/language/english.ts'],
    // Left to itself it keeps one of two cores free.
    maxWorkers: '100%',
    // Nothing here is about speed: a limit is there to end what is stuck.
    testTimeout: patientMs(120_000),
    hookTimeout: patientMs(120_000),
    reporters: ['default', ['json', { outputFile: 'test-results/vitest.json' }]],
  },
});
