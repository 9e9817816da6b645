import { type Message, msg } from '../message/message';
import type { Plan } from '../plan/plan';
import type { Limits } from '../screening/clearance';
import type { ReviewAnswer } from '../session/events/values';
import { type Change, changeWords, tidyChange, whyNotChange } from './change';
import type { Recommendation } from './review';

/**
 * Why an answer to a review cannot be accepted, in words; `null` where it can. What was advised is worked out by who asks, never taken
 * from the answer: an acceptance is of that advice, an edit keeps to the rules and says why where it is harder, and a refusal says
 * why (rule REV-10).
 */
export function whyNotAnswer(
  advice: Recommendation | undefined,
  answer: ReviewAnswer,
  { plan }: { plan: Plan },
  limits: Limits,
): Message | null {
  const label = plan.exercises[answer.exerciseIndex]?.label ?? '';
  if (!advice) return msg('There is nothing to answer: no set of this exercise was begun.');
  if (answer.rule !== advice.rule)
    return msg('{label}: the review says {advised}, not {answered}. Look at it again.', {
      label,
      advised: advice.rule,
      answered: answer.rule,
    });
  const change = tidyChange(answer.change);
  switch (answer.answer) {
    case 'accepted':
      return isSame(change, advice.change)
        ? null
        : msg('{label}: the review says {advised}, not {answered}. Look at it again.', {
            label,
            advised: changeWords(advice.change),
            answered: changeWords(change),
          });
    case 'edited':
      return (
        whyNotChange({ plan }, answer.exerciseIndex, change, limits) ??
        (isHarder(change, advice.change) && answer.reason.trim() === ''
          ? msg('{label}: this is harder than the review says. Say why.', { label })
          : null)
      );
    case 'declined':
      return answer.reason.trim() === '' ? msg('{label}: say why it is declined.', { label }) : null;
  }
}

const isSame = (one: Change, other: Change): boolean =>
  one.pressurePoints === other.pressurePoints &&
  one.loadSteps === other.loadSteps &&
  one.restMs === other.restMs &&
  one.easier === other.easier &&
  one.heavyBridge === other.heavyBridge;

/** Whether a change asks for more than another in anything: more pressure or load, or less rest. */
const isHarder = (one: Change, other: Change): boolean =>
  (one.pressurePoints ?? 0) > (other.pressurePoints ?? 0) ||
  (one.loadSteps ?? 0) > (other.loadSteps ?? 0) ||
  (other.restMs !== undefined && (one.restMs ?? 0) < other.restMs);
