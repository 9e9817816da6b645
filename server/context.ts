import type { EntityManager } from '@mikro-orm/libsql';
import type { Practitioner } from '#contract/practice';

/** What every route finds in its context: its own unit of work, who works, and the time. */
export type Env = { Variables: { em: EntityManager; practitioner: Practitioner; nowMs: number } };
