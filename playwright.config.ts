import { defineConfig } from '@playwright/test';
import { CHROMIUM_LAUNCH } from './tests/chromium';
import { liveInTheMorning } from './tests/morning';

liveInTheMorning();

export default defineConfig({
  testDir: 'tests',
  testMatch: '*.spec.ts',
  globalSetup: './tests/demo-template.ts',
  workers: 2,
  fullyParallel: true,
  timeout: 300_000,
  expect: { timeout: 15_000 },
  reporter: [['list'], ['json', { outputFile: 'test-results/playwright.json' }]],
  outputDir: 'test-results/playwright',
  use: {
    actionTimeout: 15_000,
    viewport: { width: 1280, height: 800 },
    trace: 'retain-on-failure',
    launchOptions: CHROMIUM_LAUNCH,
  },
});
