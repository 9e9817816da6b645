import { defineConfig } from 'vitest/config';

export default defineConfig({
  test: {
    include: ['{core,contract,server,web,demo,scripts}/**/*.test.ts'],
    environment: 'node',
    // A slow disk is not a failure: nothing here is about speed.
    testTimeout: 60_000,
    reporters: ['default', ['json', { outputFile: 'test-results/vitest.json' }]],
  },
});
