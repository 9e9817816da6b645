import type { Role } from '../access/permissions';
import type { Message } from '../message/message';
import type { Basis } from '../plan/basis';
import type { LadderRung } from '../protocol/exercise';
import { libraryOf } from '../protocol/exercises';
import { dayAt } from '../quantity/days';
import { LIMBS, type Limb, type LimbKind, limbKind, limbKindSchema } from '../quantity/limb';
import { placesOf } from '../quantity/place';
import { strengthTestIsDue } from '../strength/shelf-life';
import { ageWords } from './age-words';
import { isFrom65 } from './conditions-in-force';
import type { ClientFacts, KitInUse } from './facts';
import { fitnessInForce } from './fitness-in-force';
import {
  limitsInForce,
  proceduresInForce,
  restingPressureInForce,
  shelfLifeInForce,
  watchesBloodPressure,
  whyDue,
} from './in-force';
import { rungInForce } from './ladder-in-force';
import { sessionsDone } from './sessions-done';

const LIMB_KINDS = limbKindSchema.options;

/** What a session is composed from: what is in force for a person, the kit, and who prescribes. */
export const basisOf = (facts: ClientFacts, kit: KitInUse, prescriber: Role, nowMs: number): Basis => ({
  nowMs,
  today: dayAt(nowMs, facts.zoneOffsetMs),
  occlusions: facts.occlusions,
  fits: facts.fits,
  strengthTests: facts.strengthTests,
  tightness: facts.tightness,
  cuffs: kit.cuffs,
  weightKits: kit.weightKits,
  places: placesOf(facts.places),
  library: libraryOf(facts.ownExercises),
  limits: limitsInForce(facts, nowMs),
  due: dueNow(facts, nowMs),
  procedures: proceduresInForce(facts, nowMs),
  rungs: new Map(LIMBS.flatMap((limb) => rungOf(facts, limb))),
  prescriber,
  arbitraryUpToMmHg: facts.arbitraryUpToMmHg,
  resting: restingPressureInForce(facts, nowMs) ?? null,
  oneLimbFirst: oneLimbFirst(facts, nowMs),
  from65: isFrom65(facts, nowMs),
  fitness: fitnessInForce(facts, nowMs),
  done: sessionsDone(facts),
});

/** Kinds of limb that begin with one alone: none was trained yet, and the blood pressure is watched (rule RUN-8). */
function oneLimbFirst(facts: ClientFacts, nowMs: number): LimbKind[] {
  if (!watchesBloodPressure(facts, nowMs)) return [];
  const trained = facts.sessions.flatMap(({ worked }) => worked.flatMap(({ limbs }) => limbs.map(limbKind)));
  return LIMB_KINDS.filter((kind) => !trained.includes(kind));
}

const rungOf = (facts: ClientFacts, limb: Limb): [Limb, LadderRung][] => {
  const check = rungInForce(facts, limb);
  return check ? [[limb, check.rung]] : [];
};

/** Why a measurement or a test no longer holds, in words, by its id (rules LOP-6, LOAD-2). */
function dueNow(facts: ClientFacts, nowMs: number): Map<string, Message> {
  const due = new Map<string, Message>();
  for (const fact of facts.occlusions) {
    const reason = whyDue(fact, facts, undefined, shelfLifeInForce(facts, fact.limb, nowMs), nowMs);
    if (reason) due.set(fact.id, reason);
  }
  for (const test of facts.strengthTests) {
    if (strengthTestIsDue(test, nowMs)) due.set(test.id, ageWords(test.atMs, nowMs));
  }
  return due;
}
