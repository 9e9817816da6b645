import type { Plan } from '#core/plan/plan';
import type { Limb } from '#core/quantity/limb';
import { roundDownToDivision } from '#core/quantity/rounding';
import type { EventBody } from '#core/session/events';
import { inHand, restInHand } from '#core/session/in-hand';
import type { NextStep } from '#core/session/next-step';
import { isLastSet } from '#core/session/places';
import { SIGNS, type SignId } from '#core/session/signs';
import { openSet, type SessionState } from '#core/session/state';
import { endSetEvents, releaseEvents } from './release';

const LOOSEN_MMHG = 10;

/** Events of doing the next expected thing. */
export function nextEvents(plan: Plan, state: SessionState, step: NextStep, nowMs: number): EventBody[] {
  switch (step.do) {
    case 'inflate':
      return step.cuffs.map((cuff) => ({ type: 'cuff-inflated', ...cuff }));
    case 'check-colour':
      return [{ type: 'colour-checked', ...step.place, good: true }];
    case 'start-set':
      return [{ type: 'set-started', ...step.place }];
    case 'end-set': {
      const planned = plan.exercises[step.place.exerciseIndex]?.sets[step.place.setIndex];
      const ended = endSetEvents(plan, state, nowMs, 'failure');
      return isLastSet(plan, step.place) || !planned
        ? ended
        : [
            ...ended,
            {
              type: 'rest-started',
              ...step.place,
              restMs: restInHand(plan, state, step.place.exerciseIndex, planned.restMs),
            },
          ];
    }
    case 'release':
      return releaseEvents(plan, state, step.limbs, nowMs);
    case 'finish':
      return [{ type: 'session-finished' }];
    default:
      return [];
  }
}

/** Whether a limb is under a strap, which has no pressure to read or change (rule TIGHT). */
export const isStrapped = (plan: Plan, limb: Limb): boolean =>
  plan.exercises.some(({ limbs }) =>
    limbs.some((target) => target.limb === limb && target.kind === 'by-feel'),
  );

/** Loosens every inflated cuff of the exercise in hand by 10 mmHg (rule RUN-4). */
export function loosenEvents(plan: Plan, state: SessionState): EventBody[] {
  return (inHand(plan, state)?.limbs ?? []).flatMap((target) => {
    if (target.kind !== 'measured' || target.readMmHg === null) return [];
    const { limb, readMmHg, signed } = target;
    const pressureMmHg = roundDownToDivision(Math.max(0, readMmHg - LOOSEN_MMHG), signed.divisionMmHg);
    return [{ type: 'pressure-read', limb, pressureMmHg, cause: 'loosened' } as const];
  });
}

/** Tops every inflated cuff up to its target in hand, never over it, and only between sets (rules RUN-4, RUN-7). */
export function topUpEvents(plan: Plan, state: SessionState): EventBody[] {
  if (openSet(state) || state.stopped) return [];
  return (inHand(plan, state)?.limbs ?? []).flatMap((target) =>
    target.kind === 'measured' && target.readMmHg !== null
      ? [
          {
            type: 'pressure-read',
            limb: target.limb,
            pressureMmHg: target.targetMmHg,
            cause: 'top-up',
          } as const,
        ]
      : [],
  );
}

/** Notes a sign; a stop sign stops the session, and the bench then asks for release (rule RUN-3). */
export function signEvents(plan: Plan, state: SessionState, sign: SignId, nowMs: number): EventBody[] {
  const noted: EventBody = { type: 'sign-noted', sign };
  return SIGNS[sign].level === 'expected'
    ? [noted]
    : [noted, ...stopEvents(plan, state, SIGNS[sign].label, nowMs)];
}

export function stopEvents(plan: Plan, state: SessionState, why: string, nowMs: number): EventBody[] {
  return [...endSetEvents(plan, state, nowMs, 'operator'), { type: 'stopped', why }];
}
