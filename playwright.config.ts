import { availableParallelism } from 'node:os';
import { defineConfig } from '@playwright/test';
import { CHROMIUM_LAUNCH } from './tests/chromium';
import { liveOnTheFixedDay } from './tests/fixed-day';
import { patientMs } from './tests/patience';

liveOnTheFixedDay();

/** A page of a journey lives for seconds: to make its code fast costs a fifth of its time and never earns it. */
const NEVER_OPTIMISE = '--js-flags=--no-opt --no-maglev';

/**
 * What takes longer is stuck. A shared machine may give a fifth of itself for minutes, long after its speed was measured: it is many times
 * what anything needs, and only a journey that fails waits so long.
 */
const STUCK_MS = patientMs(120_000);

export default defineConfig({
  testDir: 'tests',
  testMatch: '*.spec.ts',
  globalSetup: `${import.meta.dirname}/tests/build-journey-server.ts`,
  // A journey waits as long as it works: twice as many as there are cores keep them busy.
  workers: Math.min(8, 2 * availableParallelism()),
  fullyParallel: true,
  timeout: patientMs(1_200_000),
  expect: { timeout: STUCK_MS },
  reporter: [['list'], ['json', { outputFile: 'test-results/playwright.json' }]],
  outputDir: 'test-results/playwright',
  use: {
    actionTimeout: STUCK_MS,
    // It would keep the whole app on the device of every journey; those that go offline ask for it.
    serviceWorkers: 'block',
    viewport: { width: 1280, height: 800 },
    // Recording what happened costs a fifth of the time: a journey that failed is run again by itself with `--trace on`.
    screenshot: 'only-on-failure',
    launchOptions: { ...CHROMIUM_LAUNCH, args: [...CHROMIUM_LAUNCH.args, NEVER_OPTIMISE] },
  },
});
