import { defineConfig } from 'vitest/config';

// What the mutants are judged by: the core's own tests, properties in their short form.
export default defineConfig({
  test: { include: ['core/**/*.test.ts'], environment: 'node', testTimeout: 60_000 },
});
