import { occlusionClockMs, occlusionLimitMs } from '../plan/occlusion-clock';
import type { Plan } from '../plan/plan';
import { repsByPace } from '../protocol/pace';
import type { Limb } from '../quantity/limb';
import { LIMITS } from '../rules/limits';
import { liveTimeline } from './live-timeline';
import { correctedReps, openInflation, openSet, type SessionState } from './state';

/** `soon` from 80 % of the limit, `now` from 100 % (rule RUN-1). */
export type OcclusionAlarm = 'none' | 'soon' | 'now';

/** One cuff's clock. `clockMs` counts toward `limitMs`; both pass over releases shorter than 60 s (rule PRO-1). */
export type LimbClock = {
  limb: Limb;
  inflated: boolean;
  /** As last read; null while it is down, and under a strap. */
  pressureMmHg: number | null;
  clockMs: number;
  limitMs: number;
  leftMs: number;
  alarm: OcclusionAlarm;
};

/** Clocks of every cuff that has been up in this session, at `nowMs` wall clock. */
export function limbClocks(plan: Plan, state: SessionState, nowMs: number): LimbClock[] {
  const { lanes, endMs } = liveTimeline(plan, state, nowMs);
  return lanes.map((lane) => {
    const open = openInflation(state.limbs.find(({ limb }) => limb === lane.limb));
    const clockMs = occlusionClockMs(lane.inflations, endMs);
    const limitMs = occlusionLimitMs(lane);
    return {
      limb: lane.limb,
      inflated: open !== null,
      pressureMmHg: open?.steps.at(-1)?.pressureMmHg ?? null,
      clockMs,
      limitMs,
      leftMs: limitMs - clockMs,
      alarm: open === null ? 'none' : alarmAt(clockMs / limitMs),
    };
  });
}

function alarmAt(shareOfLimit: number): OcclusionAlarm {
  if (shareOfLimit >= 1) return 'now';
  return shareOfLimit >= LIMITS.alarmShareOfLimit ? 'soon' : 'none';
}

/** Repetitions of the set under way at `nowMs`, by the pace and the operator's corrections; `null` between sets. */
export function repsNow(plan: Plan, state: SessionState, nowMs: number): number | null {
  const set = openSet(state);
  const exercise = set && plan.exercises[set.exerciseIndex];
  if (!set || !exercise) return null;
  return correctedReps(set, repsByPace(nowMs - set.startedAtMs, exercise.tempo, set.plannedReps ?? 0));
}

/** What is left of the rest at `nowMs`, in ms; negative when it is overdue, `null` when nobody rests. */
export function restLeftMs(state: SessionState, nowMs: number): number | null {
  return state.rest ? state.rest.startedAtMs + state.rest.restMs - nowMs : null;
}
