import { type Remote, wrap } from 'comlink';
import type { Planning } from './planning.worker';

let planning: Remote<Planning> | undefined;

/** The planning worker, started when it is first asked for. */
export function planningWorker(): Remote<Planning> {
  planning ??= wrap<Planning>(
    new Worker(new URL('./planning.worker.ts', import.meta.url), { type: 'module', name: 'planning' }),
  );
  return planning;
}
