import { newestBy } from '../quantity/newest';
import { RULES } from '../rules/catalogue';
import type { ClientFacts, SessionFact } from './facts';

const ASK_FROM_MS = RULES['RUN-6'].figures.askFromMs;

/** The last finished session while it was not asked about: from half a day after it, before the next opens (RUN-6). */
export function sessionToAskAbout(
  { sessions }: Pick<ClientFacts, 'sessions'>,
  nowMs: number,
): SessionFact | undefined {
  const last = newestBy(
    sessions.filter(({ finishedAtMs, worked }) => finishedAtMs !== null && worked.length > 0),
    ({ finishedAtMs }) => finishedAtMs ?? 0,
  );
  if (!last || last.followUp) return undefined;
  return nowMs - (last.finishedAtMs ?? 0) >= ASK_FROM_MS ? last : undefined;
}
