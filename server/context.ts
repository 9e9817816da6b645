import type { EntityManager } from '@mikro-orm/libsql';
import type { Practitioner } from '#contract/practice';
import type { SignIns } from './access/sign-ins';
import type { Feed } from './live/feed';
import type { Lines } from './live/lines';
import type { Print } from './print';
import type { PrintTickets } from './print-tickets';
import type { SignedIn } from './record/sign-in';

/** What every route finds in its context: its own unit of work, who works, the time, and where to tell others of a change. */
export type Env = {
  Variables: {
    em: EntityManager;
    requestId: string;
    practitioner: Practitioner;
    /** Where and since when they are signed in; not set for who is not. */
    signedIn: SignedIn;
    signIns: SignIns;
    /** Whether what a proxy says of a request is believed. */
    trustsProxy: boolean;
    tickets: PrintTickets;
    nowMs: number;
    /** A number that must not be chosen, from 0 up to 2^31. */
    draw: () => number;
    /** Null where nothing on this machine can print. */
    print: Print | null;
    feed: Feed;
    lines: Lines;
  };
};
