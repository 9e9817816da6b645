import { defineConfig } from 'vitest/config';

// What the mutants are judged by: the core's own tests, properties in a very short form: they are run thousands of times.
export default defineConfig({
  test: {
    include: ['core/**/*.test.ts'],
    environment: 'node',
    testTimeout: 60_000,
    env: { NERVATO_ATTACK_RUNS: '60' },
  },
});
