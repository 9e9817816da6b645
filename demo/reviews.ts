import type { WeightKit } from '#core/load';
import type { Plan } from '#core/plan';
import { type ClientFacts, type PrescriptionFact, reviewSession } from '#core/record';
import { type Reviewed, summaryOf } from '#core/review';
import type { SessionState } from '#core/session';

/** Reviews of the sessions of the demonstration, as the server works them out: beside the session before of the same plan. */
export class Reviews {
  private readonly last = new Map<string, Reviewed>();

  constructor(private readonly weightKits: readonly WeightKit[]) {}

  /** @param facts as they stood before the session @returns by the place of the exercise */
  of(
    { id, plan, state }: { id: string; plan: Plan; state: SessionState },
    { id: prescriptionId, coursePlanId }: Pick<PrescriptionFact, 'id' | 'coursePlanId'>,
    facts: ClientFacts,
    painBefore: number | null,
    nowMs: number,
  ) {
    const session = { plan, state, painBefore, before: this.last.get(coursePlanId) ?? null };
    const fact = {
      id,
      prescriptionId,
      coursePlanId,
      startedAtMs: state.startedAtMs ?? nowMs,
      finishedAtMs: state.finishedAtMs,
      ...summaryOf(plan, state, painBefore),
    };
    this.last.set(coursePlanId, { plan, state });
    return reviewSession(session, { ...facts, sessions: [...facts.sessions, fact] }, this.weightKits, nowMs);
  }
}
