import { availableParallelism } from 'node:os';
import { defineConfig } from '@playwright/test';
import { CHROMIUM_LAUNCH } from './tests/chromium';
import { liveOnTheFixedDay } from './tests/fixed-day';
import { patientMs } from './tests/patience';

liveOnTheFixedDay();

/** A page of a journey lives for seconds: to make its code fast costs a fifth of its time and never earns it. */
const NEVER_OPTIMISE = '--js-flags=--no-opt --no-maglev';

export default defineConfig({
  testDir: 'tests',
  testMatch: '*.spec.ts',
  // A journey waits as long as it works: twice as many as there are cores keep them busy.
  workers: Math.min(8, 2 * availableParallelism()),
  fullyParallel: true,
  timeout: patientMs(300_000),
  expect: { timeout: patientMs(30_000) },
  reporter: [['list'], ['json', { outputFile: 'test-results/playwright.json' }]],
  outputDir: 'test-results/playwright',
  use: {
    actionTimeout: patientMs(30_000),
    // It would keep the whole app on the device of every journey; those that go offline ask for it.
    serviceWorkers: 'block',
    viewport: { width: 1280, height: 800 },
    // Recording what happened costs a fifth of the time: a journey that failed is run again by itself with `--trace on`.
    screenshot: 'only-on-failure',
    launchOptions: { ...CHROMIUM_LAUNCH, args: [...CHROMIUM_LAUNCH.args, NEVER_OPTIMISE] },
  },
});
