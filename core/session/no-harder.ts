import { markWords } from '../cuff/mark-words';
import { list, type Message, msg } from '../message/message';
import type { Plan } from '../plan/plan';
import { RULES } from '../rules/catalogue';
import { inHand } from './in-hand';
import { correctedReps, type SessionState } from './state';

const EASY_MOST = RULES['REV-7'].figures.effort.easyMost;

/**
 * What to look at when set two felt no harder than set one though the cuff stayed up: under a cuff that holds, it does. It
 * asks for a look and a top-up to what was signed, never for more (rules PRS-5, RUN-2, RUN-4).
 * @returns null where nothing is odd, or the next set has begun
 */
export function noHarderWords(plan: Plan, state: SessionState): Message | null {
  const [first, second, ...later] = state.sets.filter(
    ({ exerciseIndex }) => exerciseIndex === state.sets.at(-1)?.exerciseIndex,
  );
  if (!first || !second || later.length > 0 || second.endedAtMs === null || state.stopped) return null;
  if (first.effort === null || second.effort === null) return null;
  const exercise = plan.exercises[second.exerciseIndex];
  const isHeld = exercise?.sets[first.setIndex]?.release === false;
  const isWhole = [first, second].every(
    (set) => set.plannedReps !== null && correctedReps(set) >= set.plannedReps,
  );
  if (!isHeld || !isWhole || second.effort > Math.min(first.effort, EASY_MOST)) return null;
  const targets = (inHand(plan, state)?.limbs ?? []).map((target) =>
    target.kind === 'by-feel'
      ? markWords(target)
      : msg('{targetMmHg} mmHg', { targetMmHg: target.targetMmHg }),
  );
  return msg(
    'Set two felt no harder than set one: see that the cuff is still at {targets}, and that the range is full.',
    { targets: list(targets, 'and') },
  );
}
