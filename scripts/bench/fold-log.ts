import { testPlan } from '#core/plan/plan.fixture';
import type { EventBody } from '#core/session';
import { foldAll as fold, logOf, WHOLE_SESSION } from '#core/session/session.fixture';
import { percentiles, report } from './report';

// Fold of a 2,000-event log: a whole session with a pressure reading five times a second.

const readings = Array.from({ length: 2_000 - WHOLE_SESSION.length }, (_, i): [number, EventBody] => [
  6 + i * 0.13,
  { type: 'pressure-read', limb: 'left-thigh', pressureMmHg: 100 + (i % 5), cause: 'read' },
]);
const log = logOf([...WHOLE_SESSION, ...readings]);
const { plan } = testPlan();
const timesMs = Array.from({ length: 50 }, () => {
  const startMs = performance.now();
  fold(plan, log);
  return performance.now() - startMs;
});
report(`Fold of ${log.length} events`, percentiles(timesMs), '≤ 1 ms p50');
