import type { SessionDone } from '../plan/basis';
import { dayAt } from '../quantity/days';
import { kindsMoved } from '../review/summary';
import type { ClientFacts } from './facts';

/** Sessions in which a person really trained, for the ramp and for how often (rules PRS-4, PRO-3). */
export const sessionsDone = ({
  sessions,
  zoneOffsetMs,
}: Pick<ClientFacts, 'sessions' | 'zoneOffsetMs'>): SessionDone[] =>
  sessions
    .filter(({ worked }) => worked.length > 0)
    .map(({ startedAtMs, worked, tolerated }) => ({
      atMs: startedAtMs,
      day: dayAt(startedAtMs, zoneOffsetMs),
      worked,
      tolerated,
      kinds: kindsMoved(worked),
    }));

/** Whether this person has never trained here (rule PRS-6). */
export const isNewcomer = ({ sessions }: Pick<ClientFacts, 'sessions'>): boolean =>
  sessions.every(({ worked }) => worked.length === 0);
