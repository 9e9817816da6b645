import { type Message, msg } from '../message/message';
import type { GoalId } from '../plan/goals';
import type { Limb } from '../quantity/limb';
import { MS_PER_DAY } from '../quantity/units';
import { RULES } from '../rules/catalogue';
import { errorInUnit, type TypicalError } from './error';
import type { Measure } from './measure';
import { type Verdict, verdict } from './verdict';

/** The first and the last value of one measure of a person, with the sessions between. */
export type FirstAndLast = {
  clientId: string;
  name: string;
  limb: Limb | null;
  setting: string;
  first: { atMs: number; value: number };
  last: { atMs: number; value: number };
  sessions: number;
  /** What their newest session between was for; null where there was none, or its plan is of a time without goals. */
  goal: GoalId | null;
};

/** One person in a list of who it helped. `share` is of two sessions a week, at most 1. */
export type Responder = Omit<FirstAndLast, 'first' | 'last'> & {
  from: number;
  to: number;
  weeks: number;
  share: number;
  verdict: Verdict;
  /** What to think of where nothing has come of it; null where something has, or it is too soon (rule OUT-5). */
  advice: Message | null;
};

const { fromWeeks, fromShare } = RULES['OUT-5'].figures;
const { leastPerWeek } = RULES['PRO-3'].figures;

/**
 * People by how much a measure changed against its error, the most sure gain first; each with its interval (rule OUT-5).
 * @example ten weeks, 19 sessions, 50.0 → 50.3 cm, error 0.5 //=> within noise: advice to stop or change
 */
export function respondersOf(
  rows: readonly FirstAndLast[],
  measure: Measure,
  error: TypicalError,
): Responder[] {
  return rows
    .map(({ first, last, sessions, ...who }): Responder => {
      const own = errorInUnit(error, first.value);
      const found = verdict(measure, { ...first, error: own }, { ...last, error: own });
      const weeks = (last.atMs - first.atMs) / (7 * MS_PER_DAY);
      const share = weeks > 0 ? Math.min(1, sessions / (leastPerWeek * weeks)) : 0;
      const isGiven = weeks >= fromWeeks && share >= fromShare;
      const advice = isGiven && found.kind !== 'real-gain' ? adviceFor(found, weeks, share) : null;
      return { ...who, from: first.value, to: last.value, weeks, sessions, share, verdict: found, advice };
    })
    .sort((a, b) => b.verdict.chance - a.verdict.chance || a.name.localeCompare(b.name));
}

function adviceFor({ kind }: Verdict, weeks: number, share: number): Message {
  const given = msg('{weeks} weeks with {share} % of two a week', {
    weeks: Math.floor(weeks),
    share: Math.round(100 * share),
  });
  return kind === 'probably-gain'
    ? msg('No real gain yet after {given}: take it once more before changing anything.', { given })
    : msg(
        'No real gain after {given}: stop, or change one thing, such as the load a step, the pressure to usual, three a week, or heavy work.',
        { given },
      );
}
