import { defineConfig } from 'vitest/config';

export default defineConfig({
  test: {
    include: ['{core,contract,server,web,demo,scripts}/**/*.test.ts'],
    environment: 'node',
    reporters: ['default', ['json', { outputFile: 'test-results/vitest.json' }]],
  },
});
