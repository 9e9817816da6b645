import Database from 'libsql';
import { Unusable } from './database-file';

/**
 * Holds a database file for this process alone, as far as other programs of Nervato go: a lock on a small file beside it, which
 * the system lets go whatever way the process ends. Reading it, and backing it up, needs no hold.
 * @returns what lets go of it
 * @throws Unusable where another one holds it, with what to do
 */
export function holdAlone(file: string): () => void {
  const lock = new Database(`${file}-lock`);
  try {
    lock.exec('pragma busy_timeout = 0');
    lock.exec('begin exclusive');
  } catch {
    lock.close();
    throw new Unusable(
      `${file} is in use by another Nervato. Stop that one first; two would not know of each other’s sessions.`,
    );
  }
  return () => lock.close();
}
