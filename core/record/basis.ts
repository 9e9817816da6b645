import type { Cuff } from '../cuff/cuff';
import type { WeightKit } from '../load/weight-kit';
import { reasonDue } from '../occlusion-pressure/shelf-life';
import type { Basis } from '../plan/compose';
import { libraryOf } from '../protocol/exercises';
import { MS_PER_DAY } from '../quantity/units';
import { LIMITS } from '../rules/limits';
import { limitsInForce } from '../screening/clearance';
import { ageWords } from './age-words';
import { measuredWith } from './chain';
import { type ClientFacts, isPostOperative, newest, shelfLifeOf } from './facts';

/** What a session is composed from: the facts of a person, the kit, and who prescribes. */
export const basisOf = (
  facts: ClientFacts,
  kit: { cuffs: readonly Cuff[]; weightKits: readonly WeightKit[] },
  prescriber: Basis['prescriber'],
  nowMs: number,
): Basis => ({
  occlusions: facts.occlusions,
  strengthTests: facts.strengthTests,
  tightness: facts.tightness,
  cuffs: kit.cuffs,
  weightKits: kit.weightKits,
  library: libraryOf(facts.ownExercises),
  massUnit: facts.units.mass,
  limits: limitsInForce(facts.clearances, nowMs),
  due: dueOf(facts, nowMs),
  postOperative: isPostOperative(facts),
  prescriber,
});

function dueOf(facts: ClientFacts, nowMs: number): Map<string, string> {
  const due = new Map<string, string>();
  for (const fact of facts.occlusions) {
    const fit = newest(facts.fits.filter(({ limb }) => limb === fact.limb));
    const now = { widthCm: fit?.widthCm ?? fact.widthCm, girthCm: fit?.girthCm ?? fact.girthCm };
    const reason = reasonDue(measuredWith(fact), now, shelfLifeOf(facts), nowMs);
    if (reason) due.set(fact.id, reason);
  }
  for (const { id, atMs } of facts.strengthTests) {
    if (nowMs - atMs > LIMITS.strengthShelfLifeDays * MS_PER_DAY) due.set(id, ageWords(atMs, nowMs));
  }
  return due;
}

/** Whole days since the first finished session of passive cycles; 0 before it (rule PRS-4). */
export function passiveDays({ sessions, prescriptions }: ClientFacts, nowMs: number): number {
  const starts = sessions
    .filter(({ prescriptionId, finishedAtMs }) => {
      const plan = prescriptions.find(({ id }) => id === prescriptionId)?.plan;
      return finishedAtMs !== null && plan?.exercises.some(({ mode }) => mode === 'passive');
    })
    .map(({ startedAtMs }) => startedAtMs);
  return starts.length === 0 ? 0 : Math.floor((nowMs - Math.min(...starts)) / MS_PER_DAY);
}

/** Whole weeks since the first finished session; 0 when there is none. */
export function weeksTrained({ sessions }: ClientFacts, nowMs: number): number {
  const finished = sessions.filter(({ finishedAtMs }) => finishedAtMs !== null);
  if (finished.length === 0) return 0;
  return Math.floor((nowMs - Math.min(...finished.map(({ startedAtMs }) => startedAtMs))) / (7 * MS_PER_DAY));
}
