import type { EntityManager } from '@mikro-orm/libsql';
import { isOfTheMachine } from './errors';
import { SETTINGS } from './sql';

/** What every connection is set to. The ORM opens a new one now and then, so that once is not enough. */
const PRAGMAS = [
  'pragma journal_mode = wal',
  'pragma synchronous = full',
  'pragma foreign_keys = on',
  'pragma busy_timeout = 5000',
];

/** A raw connection of the driver, as far as it is used here. */
type RawConnection = {
  exec(sql: string): void;
  prepare(sql: string): Statement;
  /** Why the pool throws this connection away and opens another. */
  __knex__disposed?: Error;
};

export type Statement = {
  all(...values: unknown[]): unknown[];
  get(...values: unknown[]): unknown;
  run(...values: unknown[]): { changes: number };
};

/** The prepared statement of a text; prepared once for each connection. */
export type Prepare = (sql: string) => Statement;

/** For the pool: sets up a connection it has just opened. */
export function setUpConnection(
  raw: RawConnection,
  done: (error: unknown, raw: RawConnection) => void,
): void {
  for (const pragma of PRAGMAS) raw.exec(pragma);
  done(null, raw);
}

// The pool prints why it throws a connection away: the driver's own words would hold the statement with its values.
const GIVEN_UP = new Error('a statement failed half-way');

const prepared = new WeakMap<RawConnection, Map<string, Statement>>();

function prepareOn(raw: RawConnection): Prepare {
  const known = prepared.get(raw) ?? new Map<string, Statement>();
  prepared.set(raw, known);
  return (sql) => {
    const statement = known.get(sql) ?? raw.prepare(sql);
    known.set(sql, statement);
    return statement;
  };
}

/**
 * Runs prepared statements over the entity manager's own connection, inside its transaction where it is in one.
 * @param work must not wait for anything: the connection is its own while it runs
 */
export async function withStatements<T>(em: EntityManager, work: (prepare: Prepare) => T): Promise<T> {
  const { client } = em.getTransactionContext() ?? em.getConnection().getKnex();
  const raw = (await client.acquireConnection()) as RawConnection;
  try {
    return work(prepareOn(raw));
  } catch (error) {
    if (isOfTheMachine(error)) raw.__knex__disposed = GIVEN_UP;
    throw error;
  } finally {
    await client.releaseConnection(raw);
  }
}

/**
 * The same in a transaction of its own: all of it is stored, or nothing.
 * @param then undoes what the work did and gives its answer all the same: a preview is the write, undone
 */
export const inTransaction = <T>(
  em: EntityManager,
  work: (prepare: Prepare) => T,
  then: 'keep' | 'undo' = 'keep',
): Promise<T> =>
  withStatements(em, (prepare) => {
    prepare('begin immediate').run();
    try {
      const answer = work(prepare);
      prepare(then === 'keep' ? 'commit' : 'rollback').run();
      return answer;
    } catch (error) {
      prepare('rollback').run();
      throw error;
    }
  });

/**
 * Has the next who asks get a new connection. A statement that failed half-way is left in progress by the driver, and no
 * transaction ends on that connection any more: a moment in which another program had the database would be one for ever.
 */
export async function renewConnection(em: EntityManager): Promise<void> {
  const { client } = em.getConnection().getKnex();
  const raw = (await client.acquireConnection()) as RawConnection;
  raw.__knex__disposed = GIVEN_UP;
  await client.releaseConnection(raw);
}

/** Whether a commit waits for the disk: always, but for data that are made and could be made again. */
export const waitForDisk = (em: EntityManager, wait: boolean): Promise<void> =>
  withStatements(em, (prepare) => {
    prepare(wait ? SETTINGS.waitForDisk : SETTINGS.doNotWaitForDisk).run();
  });
