import { newest } from '../quantity/newest';
import { RULES } from '../rules/catalogue';
import type { ClientFacts, SessionFact } from './facts';

const ASK_FROM_MS = RULES['RUN-6'].figures.askFromMs;

/** The last finished session while nobody was asked about it: from half a day after it, before the next opens (RUN-6). */
export function sessionToAskAbout(
  { sessions }: Pick<ClientFacts, 'sessions'>,
  nowMs: number,
): SessionFact | undefined {
  const last = newest(
    sessions.flatMap((fact) =>
      fact.finishedAtMs === null || fact.worked.length === 0 ? [] : [{ fact, atMs: fact.finishedAtMs }],
    ),
  );
  if (!last || last.fact.followUp) return undefined;
  return nowMs - last.atMs >= ASK_FROM_MS ? last.fact : undefined;
}
