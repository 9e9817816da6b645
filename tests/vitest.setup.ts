import fc from 'fast-check';
import { afterAll, vi } from 'vitest';
import { liveOnTheFixedDay } from './fixed-day';
import { testSeed } from './seed';

liveOnTheFixedDay();
fc.configureGlobal({ ...fc.readConfigureGlobal(), seed: testSeed() });

// Files share a process: a clock that one put in place of the machine's must not be there for the next.
afterAll(() => {
  vi.useRealTimers();
  vi.unstubAllEnvs();
});
