import { type Remote, wrap } from 'comlink';
import { type Rehearsal, type RehearsalQuestion, rehearsalOf } from '#core/course';
import type { Planning } from './planning.worker';

type Started = { worker: Remote<Planning>; failing: Promise<never> };

const MOST_WORKERS = 2;
const workers = new Map<number, Started>();

/**
 * Asks a planning worker, which is started when it is first asked.
 * @throws TypeError where its file cannot be read, as where the server cannot be reached; it is started again when it is asked again
 */
export function askPlanning<T>(ask: (worker: Remote<Planning>) => Promise<T>, place = 0): Promise<T> {
  const { worker, failing } = workers.get(place) ?? start(place);
  return Promise.race([ask(worker), failing]);
}

function start(place: number): Started {
  const thread = new Worker(new URL('./planning.worker.ts', import.meta.url), {
    type: 'module',
    name: 'planning',
  });
  const failing = new Promise<never>((_, reject) => {
    thread.addEventListener('error', ({ message }) => {
      workers.delete(place);
      reject(new TypeError(message));
    });
  });
  const started = { worker: wrap<Planning>(thread), failing };
  workers.set(place, started);
  return started;
}

/** A rehearsal, its runs shared among the workers that there are cores for. */
export async function rehearseInWorkers(question: RehearsalQuestion): Promise<Rehearsal> {
  const many = Math.min(MOST_WORKERS, navigator.hardwareConcurrency);
  const each = Math.ceil(question.runs / many);
  const shares = Array.from({ length: many }, (_, place) =>
    askPlanning(
      (worker) => worker.rehearseRuns(question, place * each, Math.min(question.runs, (place + 1) * each)),
      place,
    ),
  );
  return rehearsalOf(question, await Promise.all(shares));
}
