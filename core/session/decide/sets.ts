import { msg } from '../../message/message';
import { repsByPace } from '../../protocol/pace';
import type { EventBody, StopReason } from '../events';
import { inHand, restInHand } from '../in-hand';
import { nextStep } from '../next-step';
import { isLastSet, lastSet } from '../places';
import { inflatedLimbs, openSet } from '../state';
import { TAKE_BACK_MS } from '../take-back';
import { type Decision, decided, refuse, type Situation } from './intent';

/** Ends the set under way, if there is one, with the repetitions the pace has counted. */
export function endSet({ plan, state, nowMs }: Situation, reason: StopReason): EventBody[] {
  const set = openSet(state);
  const exercise = set && plan.exercises[set.exerciseIndex];
  if (!set || !exercise) return [];
  const { exerciseIndex, setIndex, plannedReps, startedAtMs } = set;
  const reps = plannedReps === null ? 0 : repsByPace(nowMs - startedAtMs, exercise.tempo, plannedReps);
  return [{ type: 'set-ended', exerciseIndex, setIndex, reps, reason }];
}

/** The one thing expected next (rules RUN-1, RUN-2). */
export function next(now: Situation): Decision {
  const { plan, state, nowMs, hands } = now;
  const step = nextStep(plan, state, nowMs);
  switch (step.do) {
    case 'inflate': {
      const pumped = step.cuffs.filter(
        ({ limb, pressureMmHg }) => pressureMmHg !== null && hands.pumped.includes(limb),
      );
      const byHand = step.cuffs.filter((cuff) => !pumped.includes(cuff));
      // What is inflated by hand is noted at once; a regulated pump reports by itself when the cuff is up.
      return decided(
        byHand.map((cuff) => ({ type: 'cuff-inflated', ...cuff })),
        pumped.map(({ limb, pressureMmHg }) => ({ do: 'bring', limb, pressureMmHg: pressureMmHg ?? 0 })),
      );
    }
    case 'check-colour':
      return decided([{ type: 'colour-checked', ...step.place, good: true }]);
    case 'decide':
      return refuse(msg('Colour or feeling was not good: loosen, release, note the symptom, or look again.'));
    case 'start-set':
      return decided([{ type: 'set-started', ...step.place }]);
    case 'end-set': {
      const planned = plan.exercises[step.place.exerciseIndex]?.sets[step.place.setIndex];
      const ended = endSet(now, 'failure');
      if (isLastSet(plan, step.place) || !planned) return decided(ended);
      const restMs = restInHand(plan, state, step.place.exerciseIndex, planned.restMs);
      return decided([...ended, { type: 'rest-started', ...step.place, restMs }]);
    }
    case 'release':
      return decided(
        [...endSet(now, 'operator'), ...step.limbs.map((limb) => ({ type: 'cuff-released', limb }) as const)],
        step.limbs.map((limb) => ({ do: 'deflate', limb })),
      );
    case 'finish':
      return decided([{ type: 'session-finished' }]);
    case 'wait':
    case 'nothing':
      return refuse(msg('Nothing is expected just now.'));
  }
}

/** An accidental end, taken back within 10 s while the cuff that was worn is still up (rule RUN-2). */
export function takeBackEnd({ plan, state, nowMs }: Situation): Decision {
  const set = lastSet(state);
  if (!set || set.endedAtMs === null || state.stopped) return refuse(msg('No set has just ended.'));
  if (nowMs - set.endedAtMs > TAKE_BACK_MS) {
    return refuse(
      msg('Only within {takeBack} s of its end; correct the repetitions instead.', {
        takeBack: TAKE_BACK_MS / 1000,
      }),
    );
  }
  const worn = plan.exercises[set.exerciseIndex]?.limbs.map(({ limb }) => limb) ?? [];
  const up = inflatedLimbs(state).map(({ limb }) => limb);
  if (!worn.every((limb) => up.includes(limb))) return refuse(msg('Its cuff is down already.'));
  const { exerciseIndex, setIndex } = set;
  return decided([{ type: 'end-taken-back', exerciseIndex, setIndex }]);
}

/** The cuff pinches: it comes down and goes up the limb, and the set is done again (rule FIT-4). */
export function reFit({ plan, state }: Situation): Decision {
  const up = inflatedLimbs(state).map(({ limb }) => limb);
  const place = inHand(plan, state)?.place;
  if (!place || up.length === 0) return refuse(msg('No cuff is up for a set.'));
  return decided(
    [{ type: 're-fitted', ...place }, ...up.map((limb) => ({ type: 'cuff-released', limb }) as const)],
    up.map((limb) => ({ do: 'deflate', limb })),
  );
}
