import type { EntityManager } from '@mikro-orm/libsql';
import type { ClientRecord, ClientSummary } from '#contract/client';
import { guardFindings } from '#core/findings/finding';
import { readPlan } from '#core/plan/versions/read-plan';
import type { Limb } from '#core/quantity/limb';
import { chainOf } from '#core/record/chain';
import type { ClientFacts } from '#core/record/facts';
import { cuffInForce } from '#core/record/in-force';
import { notFound, refusedField } from '../problem';
import {
  ClearanceEntity,
  ClientEntity,
  DayCheckEntity,
  GirthEntity,
  HoldEntity,
  OcclusionPressureEntity,
  PracticeEntity,
  PractitionerEntity,
  PrescriptionEntity,
  ProgrammeEntity,
  QuickCheckEntity,
  ScreeningEntity,
  SessionEntity,
  StrengthTestEntity,
  TightnessEntity,
  TrialEntity,
} from './entities';
import { holdOf } from './holds';
import { readKit } from './kit';
import { readOwnExercises } from './library';

/** All people with all that is on record for them: one query a table, whatever the number of people. */
async function readRecords(em: EntityManager, nowMs: number, only?: string): Promise<ClientRecord[]> {
  const clients = await em.find(ClientEntity, only ? { id: only } : {}, { orderBy: { name: 'asc' } });
  const mine = only ? { clientId: only } : {};
  const practice = await em.findOne(PracticeEntity, { id: 'practice' });
  const stricter = practice?.stricter ?? [];
  const [
    screenings,
    clearances,
    dayChecks,
    girths,
    tightness,
    occlusions,
    quickChecks,
    tests,
    prescriptions,
    programmes,
    sessions,
  ] = [
    await em.find(ScreeningEntity, mine),
    await em.find(ClearanceEntity, mine),
    await em.find(DayCheckEntity, mine),
    await em.find(GirthEntity, mine),
    await em.find(TightnessEntity, mine),
    await em.find(OcclusionPressureEntity, mine),
    await em.find(QuickCheckEntity, mine),
    await em.find(StrengthTestEntity, mine),
    await em.find(PrescriptionEntity, mine),
    await em.find(ProgrammeEntity, mine),
    await em.find(SessionEntity, mine),
  ];
  // The roster judges the chain, which asks for no single trial.
  const trials = only
    ? await em.find(
        TrialEntity,
        { lopId: { $in: occlusions.map(({ id }) => id) } },
        { orderBy: { place: 'asc' } },
      )
    : [];
  const trialsOf = grouped(trials, ({ lopId }) => lopId);
  const checksOf = grouped(quickChecks, ({ lopId }) => lopId);
  const ownExercises = await readOwnExercises(em);
  const holds = await em.find(HoldEntity, mine);
  const kit = await readKit(em);
  const roles = new Map((await em.findAll(PractitionerEntity)).map(({ id, role }) => [id, role]));
  const signed = new Map(prescriptions.map((row) => [row.id, row]));
  const by = <T extends { clientId: string }>(rows: readonly T[]) =>
    grouped(rows, ({ clientId }) => clientId);
  const of = {
    screenings: by(screenings),
    holds: by(holds),
    clearances: by(clearances),
    dayChecks: by(dayChecks),
    girths: by(girths),
    tightness: by(tightness),
    occlusions: by(occlusions),
    tests: by(tests),
    prescriptions: by(prescriptions),
    programmes: by(programmes),
    sessions: by(sessions),
  };
  return clients.map((client) => {
    const facts: ClientFacts = {
      shelfLife: client.shelfLife,
      limbShelfLives: client.limbShelfLives,
      units: { mass: practice?.massUnit ?? 'kg', length: practice?.lengthUnit ?? 'cm' },
      stricter,
      ownExercises,
      screenings: of
        .screenings(client.id)
        .map(({ atMs, version, yes, bloodPressures, note, procedures, by }) => ({
          atMs,
          version,
          yes,
          bloodPressures,
          note,
          procedures,
          ...(by ? { by } : {}),
        })),
      holds: of.holds(client.id).map(holdOf),
      clearances: of.clearances(client.id).map(({ clearance }) => clearance),
      dayChecks: of.dayChecks(client.id).map(({ atMs, answers }) => ({ atMs, ...answers })),
      fits: of.girths(client.id).map(({ limb, atMs, girthCm, kind, kitId, label, widthCm }) => ({
        limb,
        atMs,
        girthCm,
        label,
        widthCm,
        ...(kind === 'cuff' ? { kind, cuffId: kitId } : { kind, strapId: kitId }),
      })),
      tightness: of.tightness(client.id).map(({ limb, atMs, strapId, strapLabel, mark, felt }) => ({
        limb,
        atMs,
        strapId,
        strapLabel,
        mark,
        felt,
      })),
      occlusions: of.occlusions(client.id).map((row) => ({
        id: row.id,
        limb: row.limb,
        position: row.position,
        cuffId: row.cuffId,
        cuffLabel: row.cuffLabel,
        widthCm: row.widthCm,
        girthCm: row.girthCm,
        atMs: row.atMs,
        pressure: row.pressure,
        uncertaintyMmHg: row.uncertaintyMmHg,
        steady: row.steady,
        trialsUsed: row.trialsUsed,
        trials: trialsOf(row.id).map(({ readings }) => readings),
        readingSchool: row.readingSchool,
        method: row.method,
        site: row.site,
        divisionMmHg: row.divisionMmHg,
        quickChecks: checksOf(row.id).map(({ atMs, goneMmHg, stepMmHg }) => ({
          atMs,
          goneMmHg,
          stepMmHg: stepMmHg ?? undefined,
        })),
      })),
      strengthTests: of.tests(client.id).map(({ id, exerciseId, side, atMs, oneRepMax }) => ({
        id,
        exerciseId,
        side,
        atMs,
        oneRepMax,
      })),
      prescriptions: of.prescriptions(client.id).map((row) => ({
        id: row.id,
        atMs: row.atMs,
        signedBy: row.signedBy,
        role: roles.get(firstSigner(row, signed)) ?? 'coach',
        guards: guardFindings(row.findings).map(({ rule, subject, exerciseIndex }) => ({
          rule,
          subject,
          exerciseIndex: exerciseIndex ?? null,
        })),
        overrideReason: row.overrideReason ?? null,
        plan: readPlan(row.plan),
      })),
      programmes: of.programmes(client.id).map(({ id, atMs, wish, days }) => ({ id, atMs, wish, days })),
      sessions: of.sessions(client.id).map(({ id, prescriptionId, openedAtMs, finishedAtMs, summary }) => ({
        id,
        prescriptionId,
        startedAtMs: openedAtMs,
        finishedAtMs: finishedAtMs ?? null,
        ...summary,
      })),
    };
    return {
      id: client.id,
      name: client.name,
      story: client.story,
      facts,
      chain: chainOf(facts, kit, nowMs),
      judgedAtMs: nowMs,
    };
  });
}

/** Rows by a key of theirs, in their order, looked through once however many ask. */
function grouped<T>(rows: readonly T[], keyOf: (row: T) => string): (key: string) => readonly T[] {
  const groups = new Map<string, T[]>();
  for (const row of rows) {
    const group = groups.get(keyOf(row));
    if (group) group.push(row);
    else groups.set(keyOf(row), [row]);
  }
  return (key) => groups.get(key) ?? [];
}

type SignedRow = { id: string; signedBy: string; retargets?: string | null | undefined };

/** Who signed what a prescription stands on: a re-target stands on the signature of the one it re-targets (rule PRS-8). */
function firstSigner(row: SignedRow, signed: ReadonlyMap<string, SignedRow>): string {
  const before = row.retargets ? signed.get(row.retargets) : undefined;
  return before ? firstSigner(before, signed) : row.signedBy;
}

export async function readRoster(em: EntityManager, nowMs: number): Promise<ClientSummary[]> {
  const records = await readRecords(em, nowMs);
  return records.map(({ id, name, story, chain }) => ({ id, name, story, chain }));
}

/** One person with everything on record. @throws Problem 404 when nobody has this id */
export async function readClient(em: EntityManager, clientId: string, nowMs: number): Promise<ClientRecord> {
  const [record] = await readRecords(em, nowMs, clientId);
  if (!record) throw notFound('This person');
  return record;
}

/** The cuff fitted to a limb. @throws Problem 422 when there is none (rule FIT-1) */
export function requireFittedCuff(client: ClientRecord, limb: Limb) {
  const fit = cuffInForce(client.facts, limb);
  if (fit) return fit;
  throw refusedField(
    'Fit first',
    'limb',
    'FIT-1',
    'No cuff is fitted to this limb.',
    'Record its girth and choose a cuff first.',
  );
}
