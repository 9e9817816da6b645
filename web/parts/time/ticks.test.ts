import { afterEach, beforeEach, expect, it, vi } from 'vitest';

beforeEach(() => {
  vi.useFakeTimers({ now: 1_000_030 });
  vi.stubGlobal('localStorage', { getItem: () => null, setItem: () => {} });
  vi.stubGlobal('window', { addEventListener: () => {} });
});
afterEach(() => {
  vi.useRealTimers();
  vi.unstubAllGlobals();
});

it('calls at whole multiples of the clock, all that are due in one task', async () => {
  const { onTick } = await import('./ticks');
  const calls: [string, number][] = [];
  const stops = [
    onTick(1_000, (nowMs) => calls.push(['second', nowMs])),
    onTick(250, (nowMs) => calls.push(['quarter', nowMs])),
  ];
  const timers = vi.getTimerCount();
  expect(timers).toBe(1);
  vi.advanceTimersByTime(1_000);
  expect(calls).toEqual([
    ['quarter', 1_000_250],
    ['quarter', 1_000_500],
    ['quarter', 1_000_750],
    ['second', 1_001_000],
    ['quarter', 1_001_000],
  ]);
  for (const stop of stops) stop();
  expect(vi.getTimerCount()).toBe(0);
});

it('calls once for all that a page held up has missed', async () => {
  const { onTick } = await import('./ticks');
  const calls: number[] = [];
  const stop = onTick(100, (nowMs) => calls.push(nowMs));
  vi.setSystemTime(1_000_930);
  vi.advanceTimersByTime(70);
  expect(calls).toHaveLength(1);
  stop();
  vi.advanceTimersByTime(1_000);
  expect(calls).toHaveLength(1);
});
