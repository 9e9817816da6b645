import fc from 'fast-check';
import { afterAll, vi } from 'vitest';
import { liveOnTheFixedDay } from './fixed-day';
import { testSeed } from './seed';

liveOnTheFixedDay();
fc.configureGlobal({ ...fc.readConfigureGlobal(), seed: testSeed() });

// Files share a process: what one put in place of a clock or a global must not be there for the next.
afterAll(() => {
  vi.useRealTimers();
  vi.unstubAllGlobals();
  vi.unstubAllEnvs();
});
