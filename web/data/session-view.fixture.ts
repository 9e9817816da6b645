import type { SessionView } from '#contract/session';
import { testPlan } from '#core/plan/plan.fixture';
import type { SessionEvent } from '#core/session';
import { SESSION_ID, START_MS } from '#core/session/session.fixture';

/** A session of the plan for tests as the server gives it, with these events. */
export const testView = (events: SessionEvent[]): SessionView => ({
  id: SESSION_ID,
  clientId: 'c',
  clientName: 'C',
  prescriptionId: 'rx',
  openedAtMs: START_MS,
  lane: 1,
  idBefore: null,
  painBefore: null,
  readiness: null,
  plan: testPlan().plan,
  events,
});
