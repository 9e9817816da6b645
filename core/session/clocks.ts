import { occlusionClockMs, occlusionLimitMs } from '../plan/occlusion-clock';
import type { Plan } from '../plan/plan';
import { planLimitMs } from '../plan/plan-limit';
import { repsByPace } from '../protocol/pace';
import type { Limb } from '../quantity/limb';
import { RULES } from '../rules/catalogue';
import { inHand } from './in-hand';
import { liveSpans } from './live-timeline';
import { correctedReps, openInflation, openSet, type SessionState } from './state';

/** `soon` from 80 % of the limit, `now` from 100 % (rule RUN-1). */
export type OcclusionAlarm = 'none' | 'soon' | 'now';

/** One cuff's clock. `clockMs` counts toward `limitMs`; both pass over releases shorter than 60 s (rule PRO-1). */
export type LimbClock = {
  limb: Limb;
  inflated: boolean;
  /** When it was last deflated, wall clock; null while it is up. */
  downSinceMs: number | null;
  /** As last read; null while it is down, and under a strap. */
  pressureMmHg: number | null;
  clockMs: number;
  limitMs: number;
  leftMs: number;
  alarm: OcclusionAlarm;
};

/** Clocks of every cuff that has been up in this session, at `nowMs` wall clock. */
export function limbClocks(plan: Plan, state: SessionState, nowMs: number): LimbClock[] {
  const { lanes, endMs } = liveSpans(state, nowMs);
  return lanes.map((lane) => {
    const limbState = state.limbs.find(({ limb }) => limb === lane.limb);
    const open = openInflation(limbState);
    const clockMs = occlusionClockMs(lane.spans, endMs);
    const limitMs = limitInHandMs(plan, state, lane.limb, clockMs);
    return {
      limb: lane.limb,
      inflated: open !== null,
      downSinceMs: limbState?.inflations.at(-1)?.toMs ?? null,
      pressureMmHg: open?.steps.at(-1)?.pressureMmHg ?? null,
      clockMs,
      limitMs,
      leftMs: limitMs - clockMs,
      alarm: open === null ? 'none' : alarmAt(clockMs / limitMs),
    };
  });
}

/** The plan's own limit, and the hard one once that is passed by (rules PRO-1, RUN-1). */
function limitInHandMs(plan: Plan, state: SessionState, limb: Limb, clockMs: number): number {
  const hardMs = occlusionLimitMs({ limb });
  if (clockMs >= hardMs) return hardMs;
  return planLimitMs(plan, limb, inHand(plan, state)?.exerciseIndex ?? 0);
}

function alarmAt(shareOfLimit: number): OcclusionAlarm {
  if (shareOfLimit >= 1) return 'now';
  return shareOfLimit >= RULES['RUN-1'].figures.alarmAtShare ? 'soon' : 'none';
}

/** Repetitions of the set under way at `nowMs`, by the pace and the operator's corrections; `null` between sets. */
export function repsNow(plan: Plan, state: SessionState, nowMs: number): number | null {
  const set = openSet(state);
  const exercise = set && plan.exercises[set.exerciseIndex];
  if (!set || !exercise) return null;
  return correctedReps(set, repsByPace(nowMs - set.startedAtMs, exercise.tempo, set.plannedReps ?? 0));
}

/**
 * What is left of the rest at `nowMs`, in ms; negative when it is overdue, `null` when there is no rest. Never more than the rest:
 * a screen that ticks by the second may look from a moment before it began.
 */
export function restLeftMs({ rest }: Pick<SessionState, 'rest'>, nowMs: number): number | null {
  return rest ? rest.restMs - Math.max(0, nowMs - rest.startedAtMs) : null;
}
