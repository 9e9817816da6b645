import type { Plan } from '../plan/plan';
import { limbClocks, restLeftMs } from './clocks';
import { type NextStep, nextStep } from './next-step';
import { inflatedLimbs, openSet, type SessionState } from './state';

/** How urgently a session needs attention, most first. */
const RANKS = ['limit', 'stopped', 'limit-near', 'act', 'soon', 'runs', 'over'] as const;
export type Attention = { need: (typeof RANKS)[number]; inMs: number };

const SOON_MS = 10_000;

/** Who needs attention, and in how many ms at the latest (rules RUN-1, RUN-2). */
export function attentionOf(plan: Plan, state: SessionState, nowMs: number): Attention {
  const up = limbClocks(plan, state, nowMs).filter(({ inflated }) => inflated);
  const leftMs = Math.min(Number.POSITIVE_INFINITY, ...up.map((clock) => clock.leftMs));
  if (up.some(({ alarm }) => alarm === 'now')) return { need: 'limit', inMs: leftMs };
  if (state.stopped && inflatedLimbs(state).length > 0) return { need: 'stopped', inMs: 0 };
  if (up.some(({ alarm }) => alarm === 'soon')) return { need: 'limit-near', inMs: leftMs };
  const step = nextStep(plan, state, nowMs);
  if (step.do === 'nothing') return { need: 'over', inMs: Number.POSITIVE_INFINITY };
  const inMs = untilNeeded(plan, state, step, nowMs);
  if (inMs <= 0) return { need: 'act', inMs };
  return { need: inMs <= SOON_MS ? 'soon' : 'runs', inMs };
}

/** How long the session runs by itself: the rest of a set, of a rest with the cuff up, or of a wait. */
function untilNeeded(plan: Plan, state: SessionState, step: NextStep, nowMs: number): number {
  const set = openSet(state);
  const planned = set && plan.exercises[set.exerciseIndex]?.sets[set.setIndex];
  if (set && planned) return set.startedAtMs + planned.lastsMs - nowMs;
  if (step.do === 'wait') return step.untilMs - nowMs;
  if (step.do === 'start-set' && step.place.setIndex > 0) return Math.max(0, restLeftMs(state, nowMs) ?? 0);
  return 0;
}

/** Sorts who needs attention first; within the same need, who needs it sooner. */
export const compareAttention = (a: Attention, b: Attention): number =>
  RANKS.indexOf(a.need) - RANKS.indexOf(b.need) || a.inMs - b.inMs;
