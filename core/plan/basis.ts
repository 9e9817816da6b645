import { type ClientFacts, isPostOperative } from '../chain/facts';
import type { Cuff } from '../cuff/cuff';
import type { WeightKit } from '../load/weight-kit';
import { libraryOf } from '../protocol/exercises';
import { MS_PER_DAY } from '../quantity/units';
import { limitsInForce } from '../screening/clearance';
import type { Basis } from './compose';

/** What a session is composed from: the facts of a person, the kit, and who prescribes. */
export const basisOf = (
  facts: ClientFacts,
  kit: { cuffs: readonly Cuff[]; weightKits: readonly WeightKit[] },
  prescriber: Basis['prescriber'],
  nowMs: number,
): Basis => ({
  occlusions: facts.occlusions,
  strengthTests: facts.strengthTests,
  cuffs: kit.cuffs,
  weightKits: kit.weightKits,
  library: libraryOf(facts.ownExercises),
  massUnit: facts.units.mass,
  limits: limitsInForce(facts.clearances, nowMs),
  postOperative: isPostOperative(facts),
  prescriber,
});

/** Whole weeks since the first finished session; 0 when there is none. */
export function weeksTrained({ sessions }: ClientFacts, nowMs: number): number {
  const finished = sessions.filter(({ finishedAtMs }) => finishedAtMs !== null);
  if (finished.length === 0) return 0;
  return Math.floor((nowMs - Math.min(...finished.map(({ startedAtMs }) => startedAtMs))) / (7 * MS_PER_DAY));
}
