import type { Inflation, Timeline } from './timeline';

/** A stretch of a timeline: what of its inflations lies in it, and the sets that begin in it. Times in ms on its clock. */
export function clip({ lanes, sets }: Timeline, fromMs: number, toMs: number): Timeline {
  return {
    lanes: lanes.map(({ limb, inflations }) => ({
      limb,
      inflations: inflations.flatMap((inflation) => clipInflation(inflation, fromMs, toMs)),
    })),
    sets: sets.filter((set) => set.fromMs >= fromMs && set.fromMs < toMs),
    endMs: toMs,
  };
}

function clipInflation(inflation: Inflation, fromMs: number, toMs: number): Inflation[] {
  const from = Math.max(fromMs, inflation.fromMs);
  const to = Math.min(toMs, inflation.toMs);
  if (from >= to) return [];
  // What held when the stretch began goes on holding in it.
  const held = inflation.steps.findLast(({ atMs }) => atMs <= from) ?? inflation.steps[0];
  const later = inflation.steps.filter(({ atMs }) => atMs > from && atMs < to);
  return [
    { ...inflation, fromMs: from, toMs: to, steps: held ? [{ ...held, atMs: from }, ...later] : later },
  ];
}
