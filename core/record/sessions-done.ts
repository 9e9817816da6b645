import type { SessionDone } from '../plan/basis';
import { kindsMoved } from '../review/summary';
import type { ClientFacts } from './facts';

/** Sessions in which a person really trained, for the ramp and for how often (rules PRS-4, PRO-3). */
export const sessionsDone = ({ sessions }: Pick<ClientFacts, 'sessions'>): SessionDone[] =>
  sessions
    .filter(({ worked }) => worked.length > 0)
    .map(({ startedAtMs, worked, tolerated }) => ({
      atMs: startedAtMs,
      worked,
      tolerated,
      kinds: kindsMoved(worked),
    }));

/** Whether this person has never trained here (rule PRS-6). */
export const isNewcomer = (facts: Pick<ClientFacts, 'sessions'>): boolean => sessionsDone(facts).length === 0;
