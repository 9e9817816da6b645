import { type Limb, limbKind } from '../quantity/limb';
import { RULES } from '../rules/catalogue';
import type { PlannedExercise } from './plan';
import type { Lane, Span, Timeline } from './timeline';

const { hard, freeFlowToRestart, guardPerExercise, guardLongLeg } =
  RULES['PRO-1'].figures.continuousOcclusionMs;

/** Occluded time that counts toward the limit, in ms, for each inflation at its end (rule PRO-1). */
export function clockAtEnds(inflations: readonly Span[]): number[] {
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
export function occlusionClockMs(inflations: readonly Span[], nowMs: number): number {
  const last = inflations.at(-1);
  if (!last || nowMs - last.toMs >= freeFlowToRestart) return 0;
  return clockAtEnds(inflations).at(-1) ?? 0;
}

/**
 * How long a limb may be occluded without 60 s of free flow before a clinician's reason is needed, in ms (rule PRO-1): by
 * the exercises that fall into the stretch. An arm in aerobic or shared work has its hard limit only.
 */
export function guardLimitMs(limb: Limb, exercises: readonly Pick<PlannedExercise, 'mode'>[]): number {
  const kind = limbKind(limb);
  if (exercises.every(({ mode }) => mode === 'passive')) return hard[kind];
  const long = exercises.length > 1 || exercises.some(({ mode }) => mode === 'aerobic');
  if (!long) return guardPerExercise;
  return kind === 'leg' ? guardLongLeg : hard.arm;
}

/** The longest a limb may be occluded without 60 s of free flow, in ms (rule PRO-1, hard). */
export const occlusionLimitMs = (lane: Pick<Lane, 'limb'>): number => hard[limbKind(lane.limb)];

/**
 * Where on the timeline the limit falls if the last inflation went on, in ms; `null` before any inflation.
 */
export function fenceMs(lane: Lane, limitMs: number): number | null {
  const last = lane.inflations.at(-1);
  const counted = clockAtEnds(lane.inflations).at(-1);
  if (!last || counted === undefined) return null;
  return last.toMs + limitMs - counted;
}

/** A stretch of a lane that the occlusion clock counts as one, in ms, with the exercises that fall into it. */
export type Stretch = { clockMs: number; exerciseIndexes: number[] };

/** The stretches of a limb's lane: inflations with less than 60 s of free flow between them (rule PRO-1). */
export function stretchesOf({ limb, inflations }: Lane, { sets }: Pick<Timeline, 'sets'>): Stretch[] {
  const stretches: (Stretch & { toMs: number })[] = [];
  for (const { fromMs, toMs } of inflations) {
    const indexes = sets
      .filter((set) => set.limbs.includes(limb) && set.fromMs < toMs && set.toMs > fromMs)
      .map(({ exerciseIndex }) => exerciseIndex);
    const last = stretches.at(-1);
    if (last && fromMs - last.toMs < freeFlowToRestart) {
      last.clockMs += toMs - fromMs;
      last.toMs = toMs;
      last.exerciseIndexes.push(...indexes);
    } else stretches.push({ clockMs: toMs - fromMs, toMs, exerciseIndexes: indexes });
  }
  return stretches.map(({ clockMs, exerciseIndexes }) => ({
    clockMs,
    exerciseIndexes: [...new Set(exerciseIndexes)],
  }));
}
