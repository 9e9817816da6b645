import { defineConfig } from 'vitest/config';
import { linguiMacros } from './lingui-macros.ts';

// What drawn mutants outside of the core are judged by.
export default defineConfig({
  plugins: [linguiMacros()],
  test: {
    include: ['web/act/**/*.test.ts', 'server/{routes,access}/**/*.test.ts', 'server/forbidden*.test.ts'],
    // It sets the time zone of a process, which one of its threads cannot.
    exclude: ['server/routes/clock.test.ts'],
    environment: 'node',
    setupFiles: ['tests/vitest.setup.ts', 'web/language/english.ts'],
    testTimeout: 120_000,
    hookTimeout: 120_000,
    env: { NERVATO_ATTACK_RUNS: '60', NERVATO_TEST_SEED: '1' },
  },
});
