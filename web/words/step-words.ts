import { t } from '@lingui/core/macro';
import { paceWords } from '#core/aerobic';
import { markWords } from '#core/cuff';
import { capital, list, type Text } from '#core/message';
import { cuffSteps, cuffStepWords, type Plan, primingIn } from '#core/plan';
import type { Priming } from '#core/pressure';
import { adjunctName, type PlannedAdjunct, pacedReps, sittingPart } from '#core/protocol';
import { LIMB_NAMES } from '#core/quantity';
import {
  inHand,
  type LimbInHand,
  type NextStep,
  nextPlace,
  openSet,
  restInHand,
  type SessionState,
  type SetPlace,
  sittingDue,
} from '#core/session';
import { translate } from '../language/translate';
import { clock, countdown } from './format';

/** What happens now and what Space does, in the fewest words that can be read from three metres. */
export type StepWords = { now: string; action: string | null; urgent?: boolean };

const begun = (words: Text): string => translate(capital(words));

const RELEASE_WORDS: Record<Extract<NextStep, { do: 'release' }>['why'], string> = {
  limit: t`Deflate now: the limit is reached`,
  stopped: t`Release now`,
  rest: t`Rest: let the cuff down`,
  'between-exercises': t`Let the cuff down between exercises`,
  'sets-done': t`All sets done: deflate slowly`,
  priming: t`Priming: let the cuff down`,
};

const WAIT_WORDS: Record<
  Extract<NextStep, { do: 'wait' }>['why'],
  (next: string, priming: Pick<Priming, 'onMs' | 'offMs'>) => string
> = {
  rest: (next) => t`Rest, cuff down. ${begun(next)} is next`,
  'primed-up': (_, { onMs }) => t`Priming: keep it up for ${onMs / 1000} s`,
  'primed-down': (_, { offMs }) => t`Priming: ${offMs / 1000} s of free flow`,
  'free-flow': (next) => t`A minute of free flow, then ${next}`,
};

/** "set 2", or "cycle 2" of the cuff alone, with the exercise where the plan has several. */
const nameOf = (plan: Plan, { exerciseIndex, setIndex }: SetPlace): string => {
  const exercise = plan.exercises[exerciseIndex];
  const words = `${exercise?.mode === 'preparation' ? t`cycle` : t`set`} ${setIndex + 1}`;
  return plan.exercises.length > 1 ? `${translate(exercise?.label)}, ${words}` : words;
};

/** @param hand the limbs in hand, for the marks of straps */
export function stepWords(plan: Plan, step: NextStep, hand: readonly LimbInHand[] = []): StepWords {
  switch (step.do) {
    case 'inflate': {
      const strapped = hand.filter((target) => target.kind === 'by-feel');
      if (strapped.length > 0) {
        const marks = strapped.map(
          (strap) => t`${translate(LIMB_NAMES[strap.limb])} to ${translate(markWords(strap))}`,
        );
        return { now: t`Tighten ${marks.join(', ')}`, action: t`Tightened` };
      }
      const words = step.cuffs.map(
        ({ limb, pressureMmHg }) => t`${translate(LIMB_NAMES[limb])} to ${pressureMmHg ?? ''} mmHg`,
      );
      const which = words.join(', ');
      return { now: step.why === 'priming' ? t`Prime ${which}` : t`Inflate ${which}`, action: t`Inflated` };
    }
    case 'check-colour':
      return {
        now: t`Look: colour good, no tingling?`,
        action: t`Colour and feeling good`,
      };
    case 'decide':
      return { now: t`Colour or feeling is not good: decide`, action: null, urgent: true };
    case 'start-set':
      return { now: t`Next: ${nameOf(plan, step.place)}`, action: t`Start set ${step.place.setIndex + 1}` };
    case 'end-set':
      return { now: begun(nameOf(plan, step.place)), action: t`End the set here` };
    case 'wait':
      return {
        now: WAIT_WORDS[step.why](
          nameOf(plan, step.place),
          primingIn(plan.exercises[step.place.exerciseIndex] ?? {}),
        ),
        action: null,
      };
    case 'release':
      return {
        now: RELEASE_WORDS[step.why],
        action: t`Released`,
        urgent: step.why === 'limit' || step.why === 'stopped',
      };
    case 'finish':
      return { now: t`Cuff off. See colour return, walk a minute`, action: t`Finish and keep the record` };
    case 'nothing':
      return { now: t`Finished`, action: null };
  }
}

const WALK_MS = 60_000;

/** What comes after what is done now: the rest of a set, or the set after a rest. `null` when nothing does. */
export function thenWords(plan: Plan, state: SessionState): string | null {
  const set = openSet(state);
  const place = nextPlace(plan, state);
  const next = place && plan.exercises[place.exerciseIndex]?.sets[place.setIndex];
  if (!place || !next) return set ? t`Then the cuff comes down.` : null;
  const amount =
    next.work.kind === 'timed' ? clock(next.lastsMs) : t`${pacedReps(next.work) ?? ''} repetitions`;
  const words = `${nameOf(plan, place)}, ${amount}`;
  if (!set) return state.rest ? t`Then ${words}.` : null;
  const planned = plan.exercises[set.exerciseIndex]?.sets[set.setIndex];
  const restMs = restInHand(plan, state, set.exerciseIndex, planned?.restMs ?? 0);
  return t`Then rest ${clock(restMs)}${planned?.release ? t`, cuff down` : ''}, and ${words}.`;
}

/**
 * A prompt for the hands where a step has one: placement before a cuff first goes up, the walk after the last release. What of the
 * sitting is still to be done before or after the work stands with it.
 */
export function promptWords(plan: Plan, step: NextStep, state: SessionState, nowMs: number): string | null {
  const exercise = step.do === 'end-set' ? plan.exercises[step.place.exerciseIndex] : undefined;
  const isStrapped = inHand(plan, state)?.limbs.some(({ kind }) => kind === 'by-feel') ?? false;
  if (exercise?.mode === 'aerobic') {
    const { intensity = { by: 'talking' } } = exercise;
    // Its load says talking pace already.
    if (intensity.by === 'talking') return t`Heart rate at minute 5, at 15 and at the end.`;
    const pace = paceWords(intensity, exercise.estimate);
    return t`${begun(pace)}. Heart rate at minute 5, at 15 and at the end.`;
  }
  if (
    step.do === 'inflate' &&
    step.cuffs.some(({ limb }) => !state.limbs.some((worn) => worn.limb === limb))
  ) {
    // Where cuffs go from one pair of limbs to another, each is said before how it is put on (rule PRO-2).
    const changed = step.place.exerciseIndex > 0 ? cuffSteps(plan)[step.place.exerciseIndex] : undefined;
    const swap = changed && changed.off.length > 0 ? `${translate(cuffStepWords(changed) ?? '')} ` : '';
    const first = state.sets.length === 0 ? sittingWords(plan, state, 'before') : null;
    const before = first === null ? swap : `${t`First ${first}.`} ${swap}`;
    return isStrapped
      ? before +
          t`Strap high on the limb, flat, one finger under it; then to its mark, never further (TIGHT).`
      : before +
          t`Cuff high on the limb, one finger under, stem facing you, strap secured, gauge at zero (FIT-4).`;
  }
  if (step.do === 'release' && isStrapped)
    return t`Hold the strap as you open it: it springs back. Ease it off, and watch colour come back (TIGHT).`;
  if (step.do === 'release' && step.why === 'sets-done')
    return t`Let it down slowly, and watch colour come back (RUN-5).`;
  if (step.do !== 'finish') return null;
  const downMs = Math.max(
    0,
    ...state.limbs.flatMap(({ inflations }) => inflations.map(({ toMs }) => toMs ?? 0)),
  );
  const leftMs = downMs + WALK_MS - nowMs;
  const walk = downMs > 0 && leftMs > 0 ? t`Walk: ${countdown(leftMs)} left of a minute.` : null;
  const last = state.stopped ? null : sittingWords(plan, state, 'after');
  return last === null ? walk : [walk, t`Then ${last}.`].filter((words) => words !== null).join(' ');
}

/** What of the sitting is still to be done on this side of the work, within a sentence; `null` where that is nothing. */
function sittingWords(plan: Plan, state: SessionState, when: PlannedAdjunct['when']): string | null {
  const due = sittingPart(sittingDue(plan.sitting, state), when);
  return due.length === 0 ? null : translate(list(due.map(adjunctName), ', '));
}
