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
  const trialsOf = (lopId: string) =>
    trials.filter((trial) => trial.lopId === lopId).map(({ readings }) => readings);
  const ownExercises = await readOwnExercises(em);
  const holds = await em.find(HoldEntity, mine);
  const kit = await readKit(em);
  const roles = new Map((await em.findAll(PractitionerEntity)).map(({ id, role }) => [id, role]));
  const signed = new Map(prescriptions.map((row) => [row.id, row]));
  return clients.map((client) => {
    const ours = <T extends { clientId: string }>(rows: T[]) =>
      rows.filter((row) => row.clientId === client.id);
    const facts: ClientFacts = {
      shelfLife: client.shelfLife,
      limbShelfLives: client.limbShelfLives,
      units: { mass: practice?.massUnit ?? 'kg', length: practice?.lengthUnit ?? 'cm' },
      stricter,
      ownExercises,
      screenings: ours(screenings).map(({ atMs, version, yes, bloodPressures, note, procedures, by }) => ({
        atMs,
        version,
        yes,
        bloodPressures,
        note,
        procedures,
        ...(by ? { by } : {}),
      })),
      holds: ours(holds).map(holdOf),
      clearances: ours(clearances).map(({ clearance }) => clearance),
      dayChecks: ours(dayChecks).map(({ atMs, answers }) => ({ atMs, ...answers })),
      fits: ours(girths).map(({ limb, atMs, girthCm, kind, kitId, label, widthCm }) => ({
        limb,
        atMs,
        girthCm,
        label,
        widthCm,
        ...(kind === 'cuff' ? { kind, cuffId: kitId } : { kind, strapId: kitId }),
      })),
      tightness: ours(tightness).map(({ limb, atMs, strapId, strapLabel, mark, felt }) => ({
        limb,
        atMs,
        strapId,
        strapLabel,
        mark,
        felt,
      })),
      occlusions: ours(occlusions).map((row) => ({
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
        trials: trialsOf(row.id),
        readingSchool: row.readingSchool,
        method: row.method,
        site: row.site,
        divisionMmHg: row.divisionMmHg,
        quickChecks: quickChecks
          .filter(({ lopId }) => lopId === row.id)
          .map(({ atMs, goneMmHg, stepMmHg }) => ({ atMs, goneMmHg, stepMmHg: stepMmHg ?? undefined })),
      })),
      strengthTests: ours(tests).map(({ id, exerciseId, side, atMs, oneRepMax }) => ({
        id,
        exerciseId,
        side,
        atMs,
        oneRepMax,
      })),
      prescriptions: ours(prescriptions).map((row) => ({
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
      programmes: ours(programmes).map(({ id, atMs, wish, days }) => ({ id, atMs, wish, days })),
      sessions: ours(sessions).map(({ id, prescriptionId, openedAtMs, finishedAtMs, summary }) => ({
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
