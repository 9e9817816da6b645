import { onEveryRung } from '#core/plan';
import { type ClientFacts, namedAsTheyAre, onTheirRungs, type PrescriptionFact } from '#core/record';
import { blockFacts } from '../record/block';
import { clearanceFacts } from '../record/clearance';
import type { ClientRow } from '../record/client';
import { comparisonFacts } from '../record/comparison';
import { conditionFacts } from '../record/condition';
import { consentFacts } from '../record/consent';
import { coursePlanFacts } from '../record/course-plan';
import { dayCheckFacts } from '../record/day-check';
import { fitFacts } from '../record/fit';
import { heavyWorkFacts } from '../record/heavy-work';
import { holdFacts } from '../record/hold';
import { occlusionFacts } from '../record/occlusion-pressure';
import { fitnessFacts, followedFacts } from '../record/outcome';
import { prescriptionFact, readFormerVersions, signedPlans } from '../record/prescription';
import { readQuickChecks } from '../record/quick-check';
import type { Facts, Row } from '../record/read';
import { rungCheckFacts } from '../record/rung-check';
import { screeningFacts } from '../record/screening';
import { countFinished, sessionFacts } from '../record/session';
import { strengthTestFacts } from '../record/strength-test';
import { tightnessFacts } from '../record/tightness';
import { readTrials } from '../record/trial';
import type { Prepare } from './dialect/connection';
import type { PracticeFacts } from './read-practice';

/** So many people are read at once: as many as are worked out in a short wait. */
export const READ_AT_ONCE = 10;

/** Measurements and tests by their ids. */
export type Named = { occlusionIds: readonly string[]; testIds: readonly string[] };
export const NAMED_BY_NOBODY: Named = { occlusionIds: [], testIds: [] };

/**
 * What is on record for some people that anything now rests on; the cost grows neither with the people who are not asked for
 * nor with the years that no longer count.
 * @param clients at most `READ_AT_ONCE` @param naming for the sheet of one person, what else is asked for by its id
 * and the single trials of pressures; null for the roster, which shows neither
 * @returns in the order of the people
 */
export function readFacts(
  prepare: Prepare,
  practice: PracticeFacts,
  clients: readonly ClientRow[],
  nowMs: number,
  naming: Named | null,
): ClientFacts[] {
  const [first] = clients;
  if (!first) return [];
  // Two lengths only, so that each text is prepared twice and no more.
  const places = clients.length === 1 ? 1 : READ_AT_ONCE;
  const asked = Array.from({ length: places }, (_, place) => (clients[place] ?? first).id);
  const marks = asked.map(() => '?').join(', ');
  const readAll = <Fact>({ select, parts, of }: Facts<Fact>) => {
    const groups = new Map<string, Fact[]>();
    for (const { when, times } of parts) {
      const text = `${select} where client_id in (${marks}) and ${when}`;
      for (const row of prepare(text).all(...asked, ...(times?.(nowMs) ?? [])) as Row[]) {
        const group = groups.get(row.client_id);
        if (group) group.push(of(row));
        else groups.set(row.client_id, [of(row)]);
      }
    }
    return (clientId: string): Fact[] => groups.get(clientId) ?? [];
  };
  const of = {
    screenings: readAll(screeningFacts),
    conditions: readAll(conditionFacts),
    clearances: readAll(clearanceFacts),
    holds: readAll(holdFacts),
    consents: readAll(consentFacts),
    dayChecks: readAll(dayCheckFacts),
    fits: readAll(fitFacts),
    tightness: readAll(tightnessFacts),
    occlusions: readAll(occlusionFacts),
    strengthTests: readAll(strengthTestFacts),
    coursePlans: readAll(coursePlanFacts),
    prescriptions: readAll(signedPlans),
    rungChecks: readAll(rungCheckFacts),
    heavyWork: readAll(heavyWorkFacts),
    followed: readAll(followedFacts),
    fitness: readAll(fitnessFacts),
    comparisons: readAll(comparisonFacts),
    blocks: readAll(blockFacts),
    sessions: readAll(sessionFacts),
  };
  return clients.map(({ id, shelfLife, limbShelfLives, about }) => {
    const prescriptions = of.prescriptions(id).map((row) => prescriptionFact(prepare, practice.roles, row));
    const named = namedBy(prescriptions, naming ?? NAMED_BY_NOBODY);
    const facts = onTheirRungs({
      bornOn: about.bornOn || null,
      shelfLife,
      limbShelfLives,
      units: practice.units,
      stricter: practice.stricter,
      arbitraryUpToMmHg: practice.arbitraryUpToMmHg,
      rungSessions: practice.rungSessions,
      places: practice.places,
      ownExercises: practice.ownExercises,
      ownMeasures: practice.ownMeasures,
      zoneOffsetMs: practice.zoneOffsetMs,
      screenings: of.screenings(id),
      conditions: of.conditions(id),
      clearances: of.clearances(id),
      holds: of.holds(id),
      consents: of.consents(id),
      dayChecks: of.dayChecks(id),
      fits: of.fits(id),
      tightness: of.tightness(id),
      occlusions: withNamed(prepare, id, of.occlusions(id), named.occlusionIds, occlusionFacts).map(
        (fact) => ({
          ...fact,
          quickChecks: readQuickChecks(prepare, fact.id),
          trials: naming ? readTrials(prepare, fact.id) : [],
        }),
      ),
      strengthTests: withNamed(prepare, id, of.strengthTests(id), named.testIds, strengthTestFacts),
      coursePlans: of.coursePlans(id),
      prescriptions,
      formerVersions: naming
        ? readFormerVersions(prepare, id, nowMs).map((row) => prescriptionFact(prepare, practice.roles, row))
        : [],
      rungChecks: of.rungChecks(id),
      heavyWork: of.heavyWork(id),
      followed: of.followed(id),
      fitness: of.fitness(id),
      comparisons: of.comparisons(id),
      blocks: of.blocks(id).filter((block) => block !== null),
      sessions: of.sessions(id),
      sessionsFinished: countFinished(prepare, id),
    });
    return namedAsTheyAre(facts);
  });
}

/** What a plan names stays on record with it, though something newer has taken its place; not what was retracted. */
function withNamed<Fact extends { id: string }>(
  prepare: Prepare,
  clientId: string,
  facts: readonly Fact[],
  ids: readonly string[],
  { select, of }: Facts<Fact>,
): Fact[] {
  const missing = ids.filter((id) => !facts.some((fact) => fact.id === id));
  const rows = missing.map(
    (id) =>
      prepare(`${select} where id = ? and client_id = ? and superseded <> 2`).get(id, clientId) as
        | Row
        | undefined,
  );
  // Of two with one time what has taken its place comes last, and counts.
  return [...rows.flatMap((row) => (row ? [of(row)] : [])), ...facts];
}

function namedBy(prescriptions: readonly PrescriptionFact[], also: Named): Named {
  const exercises = prescriptions.flatMap(({ plan }) => onEveryRung(plan));
  const targets = exercises.flatMap(({ limbs }) => limbs);
  return {
    occlusionIds: [
      ...new Set([
        ...targets.flatMap((target) => (target.kind === 'measured' ? [target.occlusionId] : [])),
        ...also.occlusionIds,
      ]),
    ],
    testIds: [
      ...new Set([
        ...exercises.flatMap(({ load }) => (load.kind === 'weighed' ? [load.testId] : [])),
        ...also.testIds,
      ]),
    ],
  };
}
