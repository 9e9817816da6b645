import type { EntityManager } from '@mikro-orm/libsql';
import type { Practitioner } from '#contract/practice';
import type { Feed } from './live/feed';
import type { Lines } from './live/lines';
import type { Print } from './print';

/** What every route finds in its context: its own unit of work, who works, the time, and where to tell others of a change. */
export type Env = {
  Variables: {
    em: EntityManager;
    practitioner: Practitioner;
    nowMs: number;
    /** A number that nobody is to choose, from 0 up to 2^31. */
    draw: () => number;
    /** Null where nothing on this machine can print. */
    print: Print | null;
    feed: Feed;
    lines: Lines;
  };
};
