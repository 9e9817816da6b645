import { useQueries } from '@tanstack/react-query';
import type { ClientRecord } from '#contract/client';
import type { SessionView } from '#contract/session';
import type { Bout } from '#core/forecast/bouts';
import { doneBouts } from '#core/forecast/done-bouts';
import { doseOf } from '#core/plan/dose';
import { libraryOf } from '#core/protocol/exercises';
import { newest } from '#core/quantity/newest';
import { MS_PER_DAY } from '#core/quantity/units';
import { planInForce } from '#core/record/in-force';
import { reviewSession } from '#core/record/session-review';
import { type Change, changeWords, tidyChange } from '#core/review/change';
import { fold } from '#core/session/fold';
import { liveTimeline } from '#core/session/live-timeline';
import { mergeLogs } from '#core/session/log';
import { type Totals, totalsOf } from '#core/session/totals';
import { api, read } from './api';
import { KEYS, usePractice } from './queries';

// A block has at most 84 sessions; a week at most seven, and what the model learns from needs no more.
const MOST_SESSIONS = 24;
const MOST_LEARNT = 6;

const ANSWERED = { accepted: 'Accepted', edited: 'Edited', declined: 'Declined' } as const;

/** What past sessions say: changes of the last one's exercises with their words, and the sets the forecast learns from. */
export type LastReview = {
  changes: Change[];
  words: string[];
  seen: Bout[][];
  /** What the last seven days and the block gave (rule RUN-5). */
  given: { week: Totals; block: Totals };
};

/** The newest finished sessions with what their logs fold to; `undefined` while they are being read. */
export function usePastSessions(client: ClientRecord, most: number) {
  const finished = client.facts.sessions
    .filter(({ finishedAtMs }) => finishedAtMs !== null)
    .sort((a, b) => b.startedAtMs - a.startedAtMs)
    .slice(0, most);
  const answers = useQueries({
    queries: finished.map(({ id }) => ({
      queryKey: KEYS.session(id),
      queryFn: () => read<SessionView>(api.sessions[':id'].$get({ param: { id } })),
    })),
  });
  if (answers.some(({ isPending }) => isPending)) return undefined;
  return answers.flatMap(({ data }) =>
    data ? [{ view: data, plan: data.plan, state: fold(data.plan, mergeLogs(data.events)) }] : [],
  );
}

/** Sets of the newest sessions as the forecast learns from them; `undefined` while they are being read. */
export function useSeenBouts(client: ClientRecord): Bout[][] | undefined {
  const library = libraryOf(client.facts.ownExercises);
  return usePastSessions(client, MOST_LEARNT)?.map((session) => doneBouts(session, library));
}

/** Reviews the newest session and adds up the last ones; `undefined` while they are being read. */
export function useLastReview(client: ClientRecord): LastReview | undefined {
  const past = usePastSessions(client, MOST_SESSIONS);
  const { data: practice } = usePractice();
  if (!past || !practice) return undefined;
  const library = libraryOf(client.facts.ownExercises);
  const seen = past.slice(0, MOST_LEARNT).map((session) => doneBouts(session, library));
  const since = (fromMs: number) =>
    totalsOf(
      past
        .filter(({ view }) => view.openedAtMs >= fromMs)
        .map(({ plan, state }) => doseOf(liveTimeline(plan, state, client.judgedAtMs))),
    );
  const block = newest(client.facts.programmes);
  const weekAgoMs = client.judgedAtMs - 7 * MS_PER_DAY;
  const given = {
    week: since(weekAgoMs),
    block: since(block ? Date.parse(block.wish.startsOn) : weekAgoMs),
  };
  const [last, before] = past;
  // A plan signed after the last session was already a decision about it.
  if (!last || last.view.prescriptionId !== planInForce(client.facts)?.id) {
    return { changes: [], words: [], seen, given };
  }
  const advices = reviewSession(
    { ...last, openedAtMs: last.view.openedAtMs, before: before ?? null },
    client.facts,
    practice.weightKits,
    client.judgedAtMs,
  );
  const reviews = advices.map((advice, place) => {
    const label = last.plan.exercises[place]?.label;
    const answer = last.state.reviews.find(({ exerciseIndex }) => exerciseIndex === place);
    if (!advice) return { change: {}, words: `${label}: not begun last time, so as it was.` };
    const change = answer && answer.answer !== 'declined' ? tidyChange(answer.change) : {};
    const answered = answer ? ` ${ANSWERED[answer.answer]}${answer.reason ? `: ${answer.reason}` : ''}.` : '';
    const taken = answer ? change : advice.change;
    return {
      change: taken,
      words: `${label}: ${changeWords(taken)}. ${advice.reason} (${advice.rule})${answered}`,
    };
  });
  return {
    given,
    changes: reviews.map(({ change }) => change),
    words: reviews.map(({ words }) => words),
    seen,
  };
}
