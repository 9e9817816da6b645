import { limbKind } from '../quantity/limb';
import { LIMITS } from '../rules/limits';
import type { Inflation, Lane } from './timeline';

const { hard, freeFlowToRestart } = LIMITS.continuousOcclusionMs;

/** Occluded time that counts toward the limit, in ms, for each inflation at its end (rule PRO-1). */
export function clockAtEnds(inflations: readonly Inflation[]): number[] {
  let countedMs = 0;
  let lastEndMs = Number.NEGATIVE_INFINITY;
  return inflations.map(({ fromMs, toMs }) => {
    if (fromMs - lastEndMs >= freeFlowToRestart) countedMs = 0;
    countedMs += toMs - fromMs;
    lastEndMs = toMs;
    return countedMs;
  });
}

/**
 * Occluded time in ms that counts toward the limit at `nowMs` (rule PRO-1).
 * The clock pauses when the cuff is down and starts again from zero only after 60 s of free flow.
 */
export function occlusionClockMs(inflations: readonly Inflation[], nowMs: number): number {
  const last = inflations.at(-1);
  if (!last || nowMs - last.toMs >= freeFlowToRestart) return 0;
  return clockAtEnds(inflations).at(-1) ?? 0;
}

/** The longest a limb may be occluded without 60 s of free flow, in ms (rule PRO-1, hard). */
export const occlusionLimitMs = (lane: Pick<Lane, 'limb'>): number => hard[limbKind(lane.limb)];

/**
 * Where on the timeline the limit falls if the last inflation went on, in ms; `null` before any inflation.
 */
export function fenceMs(lane: Lane): number | null {
  const last = lane.inflations.at(-1);
  const counted = clockAtEnds(lane.inflations).at(-1);
  if (!last || counted === undefined) return null;
  return last.toMs + occlusionLimitMs(lane) - counted;
}
