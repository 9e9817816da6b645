import { MS_PER_DAY } from '../quantity/units';
import { type ClientFacts, newest, type SessionFact } from './facts';

/** Numbness or wide bruising after the last session, until the person is screened again (rule RUN-6). */
export function followUpThatHolds(facts: ClientFacts, nowMs: number): string | null {
  const said = newest(facts.sessions.flatMap(({ followUp }) => (followUp ? [followUp] : [])));
  const screening = newest(facts.screenings);
  if (!said || said.atMs > nowMs || (screening && screening.atMs > said.atMs)) return null;
  if (said.numbness) return 'Numbness';
  return said.bruising === 'wide' ? 'Wide bruising' : null;
}

const ASK_FROM_MS = 12 * 60 * 60_000;
const ASK_UNTIL_MS = 4 * MS_PER_DAY;

/** The finished session somebody is still to be asked about: from half a day after it, for a few days (rule RUN-6). */
export function sessionToAskAbout({ sessions }: ClientFacts, nowMs: number): SessionFact | undefined {
  const last = newest(
    sessions.flatMap((fact) => (fact.finishedAtMs === null ? [] : [{ fact, atMs: fact.finishedAtMs }])),
  );
  if (!last || last.fact.followUp) return undefined;
  const sinceMs = nowMs - last.atMs;
  return sinceMs >= ASK_FROM_MS && sinceMs < ASK_UNTIL_MS ? last.fact : undefined;
}
