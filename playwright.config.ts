import { defineConfig } from '@playwright/test';
import { CHROMIUM_LAUNCH } from './tests/chromium';
import { liveOnTheFixedDay } from './tests/fixed-day';

liveOnTheFixedDay();

export default defineConfig({
  testDir: 'tests',
  testMatch: '*.spec.ts',
  workers: 2,
  fullyParallel: true,
  timeout: 300_000,
  // A machine with two browsers and two servers on two cores may stand still for a while.
  expect: { timeout: 30_000 },
  reporter: [['list'], ['json', { outputFile: 'test-results/playwright.json' }]],
  outputDir: 'test-results/playwright',
  use: {
    actionTimeout: 15_000,
    // It would keep the whole app on the device of every journey; those that go offline ask for it.
    serviceWorkers: 'block',
    viewport: { width: 1280, height: 800 },
    trace: 'off',
    launchOptions: CHROMIUM_LAUNCH,
  },
});
