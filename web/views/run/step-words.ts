import type { Plan } from '#core/plan/plan';
import { LIMB_LABELS } from '#core/quantity/limb';
import type { NextStep } from '#core/session/next-step';

/** What happens now and what Space does, in the fewest words that can be read from three metres. */
export type StepWords = { now: string; action: string | null; urgent?: boolean };

const RELEASE_WORDS: Record<Extract<NextStep, { do: 'release' }>['why'], string> = {
  limit: 'Deflate now: the limit is reached',
  stopped: 'Release now',
  rest: 'Rest: let the cuff down',
  'between-exercises': 'Let the cuff down between exercises',
  'sets-done': 'All sets done: deflate slowly',
};

export function stepWords(plan: Plan, step: NextStep): StepWords {
  switch (step.do) {
    case 'inflate': {
      const targets = plan.exercises[step.place.exerciseIndex]?.limbs ?? [];
      const words = targets.map(
        ({ limb, pressure }) => `${LIMB_LABELS[limb].toLowerCase()} to ${pressure.value} mmHg`,
      );
      return { now: `Inflate ${words.join(', ')}`, action: 'Inflated' };
    }
    case 'start-set':
      return { now: `Next: set ${step.place.setIndex + 1}`, action: `Start set ${step.place.setIndex + 1}` };
    case 'end-set':
      return { now: `Set ${step.place.setIndex + 1}`, action: 'End the set here' };
    case 'wait':
      return { now: `Rest, cuff down. Set ${step.place.setIndex + 1} is next`, action: null };
    case 'release':
      return {
        now: RELEASE_WORDS[step.why],
        action: 'Released',
        urgent: step.why === 'limit' || step.why === 'stopped',
      };
    case 'finish':
      return { now: 'Cuff off. See colour return, walk a minute', action: 'Finish and keep the record' };
    case 'nothing':
      return { now: 'Finished', action: null };
  }
}
