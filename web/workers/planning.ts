import { type Remote, wrap } from 'comlink';
import { type Rehearsal, type RehearsalQuestion, rehearsalOf } from '#core/course';
import type { Planning } from './planning.worker';

const MOST_WORKERS = 2;
const workers: Remote<Planning>[] = [];

/** A planning worker, started when it is first asked for. */
export function planningWorker(place = 0): Remote<Planning> {
  const known = workers[place];
  if (known) return known;
  const started = wrap<Planning>(
    new Worker(new URL('./planning.worker.ts', import.meta.url), { type: 'module', name: 'planning' }),
  );
  workers[place] = started;
  return started;
}

/** A rehearsal, its runs shared among the workers that there are cores for. */
export async function rehearseInWorkers(question: RehearsalQuestion): Promise<Rehearsal> {
  const many = Math.min(MOST_WORKERS, navigator.hardwareConcurrency);
  const each = Math.ceil(question.runs / many);
  const shares = Array.from({ length: many }, (_, place) =>
    planningWorker(place).rehearseRuns(question, place * each, Math.min(question.runs, (place + 1) * each)),
  );
  return rehearsalOf(question, await Promise.all(shares));
}
