import type { PracticeView } from '#contract/practice';
import { type Plan, shortOf } from '#core/plan';
import { useOpenSessions } from '../../../data/live-session';
import { translate } from '../../../language/translate';

/** What of the kit others wear now, so that it is short for this session too. */
export function ShortOfKit({ practice, plan }: { practice: PracticeView; plan: Plan }) {
  const running = useOpenSessions();
  return shortOf(practice, [...running.map((session) => session.plan), plan])
    .map(translate)
    .map((words) => (
      <p key={words} className="notched py-1 text-ochre">
        {words}
      </p>
    ));
}
