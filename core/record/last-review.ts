import type { Bout } from '../forecast/bouts';
import { doneBouts } from '../forecast/done-bouts';
import type { WeightKit } from '../load/weight-kit';
import { type Message, msg, sentences } from '../message/message';
import { doseOf } from '../plan/dose';
import { libraryOf } from '../protocol/exercises';
import { dayOf } from '../quantity/days';
import { newest } from '../quantity/newest';
import { MS_PER_DAY } from '../quantity/units';
import { type Change, changeWords, tidyChange } from '../review/change';
import type { ReviewAnswer } from '../session/events/values';
import { liveTimeline } from '../session/live-timeline';
import { type Totals, totalsOf } from '../session/totals';
import { isOnRungOf } from './course-review';
import type { ClientFacts, PrescriptionFact, SessionFact } from './facts';
import type { PastSession } from './past-session';
import { reviewSession } from './session-review';
import { type TissueLine, tissueAccount } from './tissue-account';

/** What the forecast learns from: more says no more. */
const MOST_LEARNT = 6;

const ANSWERED = { accepted: msg('Accepted'), edited: msg('Edited'), declined: msg('Declined') } as const;

/** What past sessions say: changes of the last one's exercises with their words, and the sets the forecast learns from. */
export type LastReview = {
  changes: Change[];
  words: Message[];
  seen: Bout[][];
  /** What the last seven days and the block gave, and what the last seven gave each muscle (rules RUN-5, PRO-3). */
  given: { week: Totals; block: Totals; tissue: TissueLine[] };
};

/**
 * Sessions whose logs `lastReview` asks for, newest first: of the last week, the block, the newest for the forecast, and the
 * last two of the plan in question.
 */
export function sessionsToReview(
  facts: ClientFacts,
  prescribed: PrescriptionFact | undefined,
  nowMs: number,
): SessionFact[] {
  const sinceMs = Math.min(weekStartMs(nowMs), blockStartMs(facts, nowMs));
  const finished = facts.sessions
    .filter(({ finishedAtMs }) => finishedAtMs !== null)
    .sort((a, b) => b.startedAtMs - a.startedAtMs);
  const own = finished.filter(({ coursePlanId }) => coursePlanId === prescribed?.coursePlanId).slice(0, 2);
  return finished.filter(
    (fact, place) => fact.startedAtMs >= sinceMs || place < MOST_LEARNT || own.includes(fact),
  );
}

/**
 * Reviews the newest session of a plan and adds up the last ones of all.
 * @param past as `sessionsToReview` asks, in its order @param prescribed the version of the plan that counts now
 */
export function lastReview(
  past: readonly PastSession[],
  facts: ClientFacts,
  prescribed: PrescriptionFact | undefined,
  kits: readonly WeightKit[],
  nowMs: number,
): LastReview {
  const library = libraryOf(facts.ownExercises);
  const since = (fromMs: number) =>
    totalsOf(
      past
        .filter(({ fact }) => fact.startedAtMs >= fromMs)
        .map(({ plan, state }) => doseOf(liveTimeline(plan, state, nowMs))),
    );
  return {
    ...nextTime(past, facts, prescribed, kits, nowMs),
    seen: past.slice(0, MOST_LEARNT).map((session) => doneBouts(session, library)),
    given: {
      week: since(weekStartMs(nowMs)),
      block: since(blockStartMs(facts, nowMs)),
      tissue: tissueAccount(
        past.filter(({ fact }) => fact.startedAtMs >= weekStartMs(nowMs)),
        facts.heavyWork.filter(({ atMs }) => atMs >= weekStartMs(nowMs)),
        library,
        facts.zoneOffsetMs,
      ),
    },
  };
}

const weekStartMs = (nowMs: number): number => nowMs - 7 * MS_PER_DAY;

/** From the first moment of the block's first day by the practice's clock. */
function blockStartMs({ blocks, zoneOffsetMs }: ClientFacts, nowMs: number): number {
  const block = newest(blocks);
  return block ? dayOf(block.wish.startsOn) * MS_PER_DAY - zoneOffsetMs : weekStartMs(nowMs);
}

/** What the newest session of a plan suggests for the next; nothing once a version was signed after it. */
function nextTime(
  past: readonly PastSession[],
  facts: ClientFacts,
  prescribed: PrescriptionFact | undefined,
  kits: readonly WeightKit[],
  nowMs: number,
): Pick<LastReview, 'changes' | 'words'> {
  const [last, before] = past.filter(({ fact }) => fact.coursePlanId === prescribed?.coursePlanId);
  if (!last || !prescribed?.versions.includes(last.fact.prescriptionId) || !isOnRungOf(prescribed, last.fact))
    return { changes: [], words: [] };
  const advices = reviewSession({ ...last, before: before ?? null }, facts, kits, nowMs);
  const reviews = advices.map((advice, place) => {
    const label = last.plan.exercises[place]?.label ?? '';
    if (!advice) return { change: {}, words: msg('{label}: not begun last time, so as it was.', { label }) };
    const answer = last.state.reviews.find(({ exerciseIndex }) => exerciseIndex === place);
    const accepted = answer && answer.answer !== 'declined' ? tidyChange(answer.change) : {};
    const change = answer ? accepted : advice.change;
    return {
      change,
      words: sentences(
        msg('{label}: {change}.', { label, change: changeWords(change) }),
        msg('{reason} ({rule})', { reason: advice.reason, rule: advice.rule }),
        answer ? answerText(answer) : null,
      ),
    };
  });
  return { changes: reviews.map(({ change }) => change), words: reviews.map(({ words }) => words) };
}

const answerText = ({ answer, reason }: ReviewAnswer): Message =>
  reason === ''
    ? msg('{answered}.', { answered: ANSWERED[answer] })
    : msg('{answered}: {reason}.', { answered: ANSWERED[answer], reason: reason.replace(/\.$/, '') });
