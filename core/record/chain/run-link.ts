import { msg } from '../../message/message';
import { newestBy } from '../../quantity/newest';
import { agoWords } from '../age-words';
import { sessionToAskAbout } from '../day-after';
import type { ClientFacts } from '../facts';
import type { Link } from '../link';

export function runLink(facts: ClientFacts, nowMs: number): Link {
  const common = { id: 'run', rules: ['RUN-5'] } satisfies Partial<Link>;
  const session = newestBy(facts.sessions, ({ startedAtMs }) => startedAtMs);
  if (!session)
    return { ...common, state: 'missing', figure: msg('not run'), reason: msg('No session yet.') };
  if (session.finishedAtMs === null) {
    return { ...common, state: 'due', figure: msg('open'), reason: msg('A session is open: finish it.') };
  }
  const ask = sessionToAskAbout(facts, nowMs);
  if (ask) {
    return {
      id: 'run',
      rules: ['RUN-6'],
      state: 'due',
      figure: msg('ask'),
      reason: msg('Ask how the session {ago} was: soreness, bruising, numbness.', {
        ago: agoWords(ask.startedAtMs, nowMs),
      }),
    };
  }
  const finished = facts.sessionsFinished;
  return {
    ...common,
    state: 'good',
    figure: msg('{finished} done', { finished }),
    reason: msg('{finished, plural, one {# session} other {# sessions}}, the last {ago}.', {
      finished,
      ago: agoWords(session.startedAtMs, nowMs),
    }),
  };
}
