import { appendFileSync } from 'node:fs';

/** One line of the table of what things cost. @param goal what issue or decision asks of it; left out where there is none */
export function report(what: string, figure: string, goal = ''): void {
  console.log(`${what}: ${figure}${goal ? ` (goal ${goal})` : ''}`);
  const file = process.env.NERVATO_BENCH_LINES;
  if (file) appendFileSync(file, `${JSON.stringify({ what, figure, goal })}\n`);
}

/** The time at a share of some times, in ms. @example percentile([3, 1, 2], 0.5) //=> 2 */
export function percentile(timesMs: readonly number[], share: number): number {
  const sorted = [...timesMs].sort((a, b) => a - b);
  return sorted[Math.floor(share * (sorted.length - 1))] ?? Number.NaN;
}

/** "p50 3.1 ms, p95 4.0 ms". */
export const percentiles = (timesMs: readonly number[]): string =>
  `p50 ${percentile(timesMs, 0.5).toFixed(1)} ms, p95 ${percentile(timesMs, 0.95).toFixed(1)} ms`;
