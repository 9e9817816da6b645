import { type Remote, wrap } from 'comlink';
import type { Tables } from './table.worker';

let tables: Remote<Tables> | undefined;

/** The worker that reads tables, started when it is first asked for. */
export function tablesWorker(): Remote<Tables> {
  tables ??= wrap<Tables>(
    new Worker(new URL('./table.worker.ts', import.meta.url), { type: 'module', name: 'tables' }),
  );
  return tables;
}
