import type { EntityManager } from '@mikro-orm/libsql';
import type { ClientRecord, ClientSummary } from '#contract/client';
import { readPlan } from '#core/plan/versions/read-plan';
import type { Limb } from '#core/quantity/limb';
import { chainOf } from '#core/record/chain';
import { type ClientFacts, fittedCuff } from '#core/record/facts';
import type { FollowUp } from '#core/session/events';
import { RED_SIGN_LOCK_MS, SIGNS, type SignId } from '#core/session/signs';
import { notFound, refusedField } from '../problem';
import {
  ClearanceEntity,
  ClientEntity,
  DayCheckEntity,
  GirthEntity,
  OcclusionPressureEntity,
  PracticeEntity,
  PrescriptionEntity,
  ProgrammeEntity,
  QuickCheckEntity,
  ScreeningEntity,
  SessionEntity,
  SessionEventEntity,
  StrengthTestEntity,
  TightnessEntity,
  TrialEntity,
} from './entities';
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
  const redSigns = await readRedSigns(em, nowMs);
  const followUps = await readFollowUps(
    em,
    sessions.map(({ id }) => id),
  );
  return clients.map((client) => {
    const ours = <T extends { clientId: string }>(rows: T[]) =>
      rows.filter((row) => row.clientId === client.id);
    const facts: ClientFacts = {
      shelfLife: client.shelfLife,
      units: { mass: practice?.massUnit ?? 'kg', length: practice?.lengthUnit ?? 'cm' },
      stricter,
      ownExercises,
      screenings: ours(screenings).map(({ atMs, version, yes, bloodPressures, note }) => ({
        atMs,
        version,
        yes,
        bloodPressures,
        note,
      })),
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
          .map(({ atMs, goneMmHg }) => ({ atMs, goneMmHg })),
      })),
      strengthTests: ours(tests).map(({ id, exerciseId, side, atMs, oneRepMax }) => ({
        id,
        exerciseId,
        side,
        atMs,
        oneRepMax,
      })),
      prescriptions: ours(prescriptions).map(({ id, atMs, signedBy, overrideReason, plan }) => ({
        id,
        atMs,
        signedBy,
        overrideReason: overrideReason ?? null,
        plan: readPlan(plan),
      })),
      programmes: ours(programmes).map(({ id, atMs, wish, days }) => ({ id, atMs, wish, days })),
      sessions: ours(sessions).map(({ id, prescriptionId, openedAtMs, finishedAtMs }) => ({
        id,
        prescriptionId,
        startedAtMs: openedAtMs,
        finishedAtMs: finishedAtMs ?? null,
        redSigns: redSigns.get(id) ?? [],
        followUp: followUps.get(id) ?? null,
      })),
    };
    return {
      id: client.id,
      name: client.name,
      story: client.story,
      facts,
      chain: chainOf(facts, nowMs),
      judgedAtMs: nowMs,
    };
  });
}

/**
 * Red signs that can still lock anybody, from the logs. What counts is when the server heard of them: a device may have
 * been offline for days, or its clock wrong (rule SCR-5).
 */
async function readRedSigns(em: EntityManager, nowMs: number) {
  const noted = await em.find(SessionEventEntity, {
    type: 'sign-noted',
    receivedAtMs: { $gt: nowMs - RED_SIGN_LOCK_MS },
  });
  const bySession = new Map<string, { atMs: number; sign: SignId }[]>();
  for (const { sessionId, receivedAtMs, event } of noted) {
    if (event.type !== 'sign-noted' || SIGNS[event.sign].level !== 'red') continue;
    bySession.set(sessionId, [...(bySession.get(sessionId) ?? []), { atMs: receivedAtMs, sign: event.sign }]);
  }
  return bySession;
}

/** What was answered the day after, from the logs; the newest answer of a session counts. */
async function readFollowUps(em: EntityManager, sessionIds: string[]) {
  const rows = await em.find(
    SessionEventEntity,
    { sessionId: { $in: sessionIds }, type: 'followed-up' },
    { orderBy: { atMs: 'asc' } },
  );
  const bySession = new Map<string, FollowUp & { atMs: number }>();
  for (const { sessionId, atMs, event } of rows) {
    if (event.type !== 'followed-up') continue;
    const { soreness, bruising, pinpointBleeding, numbness } = event;
    bySession.set(sessionId, { atMs, soreness, bruising, pinpointBleeding, numbness });
  }
  return bySession;
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
  const fit = fittedCuff(client.facts, limb);
  if (fit) return fit;
  throw refusedField(
    'Fit first',
    'limb',
    'FIT-1',
    'No cuff is fitted to this limb.',
    'Record its girth and choose a cuff first.',
  );
}
