import { defineConfig } from 'vitest/config';

export default defineConfig({
  test: {
    include: ['{core,contract,server,web,demo,scripts}/**/*.test.ts'],
    environment: 'node',
    // Left to itself it keeps one of two cores free.
    maxWorkers: '100%',
    // A slow disk is not a failure: nothing here is about speed.
    testTimeout: 60_000,
    reporters: ['default', ['json', { outputFile: 'test-results/vitest.json' }]],
  },
});
