import { defineEntity, p } from '@mikro-orm/core';
import type { About } from '#contract/client';
import type { KitItem, PracticeSettings } from '#contract/practice';
import type { NewPracticeAttempt, NewSessionAttempt } from '#contract/practice-attempt';
import type { Role } from '#core/access';
import type { BlockWish, CoursePlanState, LadderAnswers, Occasion, Scheduled } from '#core/course';
import type { Derived } from '#core/derivation';
import type { Finding } from '#core/findings';
import type { Strap } from '#core/kit';
import type { Text } from '#core/message';
import type {
  LimbShelfLife,
  PulseMethod,
  PulseSite,
  ReadingSchool,
  ShelfLife,
  Trial,
} from '#core/occlusion-pressure';
import type { Comparison, Measure, MeasureId, Report, SessionLine } from '#core/outcomes';
import type { Exercise, ExerciseId, LadderRung, SchoolId } from '#core/protocol';
import type { Limb, Position } from '#core/quantity';
import type { HoldEnd } from '#core/record';
import type { SessionSummary } from '#core/review';
import { RULES, type RuleId } from '#core/rules';
import type {
  BloodPressure,
  Clearance,
  ConditionDetail,
  ConsentGiven,
  DayCheckAnswers,
  FoundSubject,
  ItemId,
  ItemPlace,
  Procedure,
  Stricter,
} from '#core/screening';
import type { SessionEvent, SessionEventType } from '#core/session';
import type { Side } from '#core/strength';

// Times are wall-clock ms since 1970; ids are UUIDs as text.
const id = () => p.string().primary();
const clientId = () => p.string().index();
const atMs = () => p.bigint('number');
const number = () => p.double().$type<number>();
/** Whether a newer one of the same thing has taken its place; the database keeps it (migration 005). */
const superseded = () => p.boolean().default(false);

const STOP_ABOVE = RULES['RUN-8'].figures.stopAbove;

export const PracticeEntity = defineEntity({
  name: 'Practice',
  tableName: 'practice',
  properties: {
    id: id(),
    name: p.string(),
    schoolId: p.string().$type<SchoolId>(),
    massUnit: p.string().$type<PracticeSettings['massUnit']>(),
    lengthUnit: p.string().$type<PracticeSettings['lengthUnit']>(),
    phone: p.string(),
    emergencyPhone: p.string().default('112'),
    letterhead: p.string(),
    effortIn: p.string().$type<PracticeSettings['effortIn']>().default('of-ten'),
    stopAboveSystolicMmHg: p.integer().default(STOP_ABOVE.systolicMmHg),
    stopAboveDiastolicMmHg: p.integer().default(STOP_ABOVE.diastolicMmHg),
    arbitraryUpToMmHg: p.integer().nullable(),
    dateOrder: p.string().$type<PracticeSettings['dateOrder']>().default('day-month-year'),
    stricter: p.json().$type<Stricter>(),
    /** How far a demonstration's clock was moved on. */
    clockAheadMs: p.bigint('number').default(0),
  },
});

export const PractitionerEntity = defineEntity({
  name: 'Practitioner',
  tableName: 'person',
  properties: {
    id: id(),
    name: p.string(),
    role: p.string().$type<Role>(),
    listOrder: p.integer(),
    /** Of another practice: named in records that came from there, and does not work here. */
    elsewhere: p.boolean().default(false),
  },
});

/** All kit, one row a piece; retired pieces stay for the records that name them. */
export const KitEntity = defineEntity({
  name: 'Kit',
  tableName: 'kit',
  properties: {
    id: id(),
    list: p.string().$type<KitItem['list']>(),
    item: p.json().$type<KitItem['item']>(),
    retiredAtMs: p.bigint('number').nullable(),
  },
});

export const ClientEntity = defineEntity({
  name: 'Client',
  tableName: 'client',
  properties: {
    id: id(),
    name: p.string(),
    story: p.text(),
    about: p.json().$type<About>(),
    shelfLife: p.string().$type<ShelfLife>(),
    limbShelfLives: p.json().$type<LimbShelfLife[]>(),
    addedAtMs: atMs(),
    /** When they were taken off the list of people; null for who is on it. */
    archivedAtMs: p.bigint('number').nullable(),
  },
});

export const ScreeningEntity = defineEntity({
  name: 'Screening',
  tableName: 'screening',
  properties: {
    id: id(),
    clientId: clientId(),
    atMs: atMs(),
    version: p.integer(),
    yes: p.json().$type<ItemId[]>(),
    bloodPressures: p.json().$type<BloodPressure[]>(),
    note: p.text(),
    procedures: p.json().$type<Procedure[]>(),
    places: p.json().$type<ItemPlace[]>(),
    medicines: p.json().$type<string[]>(),
    /** Null but for a person under 18 whose birthday was said. */
    adultFromMs: p.bigint('number').nullable(),
    /** Null in screenings of the first releases, which did not keep it. */
    by: p.string().$type<Role>().nullable(),
    superseded: superseded(),
  },
});

export const ClearanceEntity = defineEntity({
  name: 'Clearance',
  tableName: 'clearance',
  properties: { id: id(), clientId: clientId(), atMs: atMs(), clearance: p.json().$type<Clearance>() },
});

export const ConsentEntity = defineEntity({
  name: 'Consent',
  tableName: 'consent',
  properties: {
    id: id(),
    clientId: clientId(),
    atMs: atMs(),
    version: p.integer(),
    decision: p.string().$type<ConsentGiven['decision']>(),
    read: p.string().$type<ConsentGiven['read']>(),
    guardian: p.string().nullable(),
    superseded: superseded(),
  },
});

export const DayCheckEntity = defineEntity({
  name: 'DayCheck',
  tableName: 'day_check',
  properties: {
    id: id(),
    clientId: clientId(),
    atMs: atMs(),
    answers: p.json().$type<DayCheckAnswers>(),
    /** Null in older ones, and in those made at home. */
    by: p.string().$type<Role>().nullable(),
    superseded: superseded(),
  },
});

export const GirthEntity = defineEntity({
  name: 'Girth',
  tableName: 'girth',
  properties: {
    id: id(),
    clientId: clientId(),
    atMs: atMs(),
    limb: p.string().$type<Limb>(),
    girthCm: number(),
    kind: p.string().$type<'cuff' | 'strap'>(),
    kitId: p.string(),
    label: p.string(),
    widthCm: number(),
    superseded: superseded(),
  },
});

export const TightnessEntity = defineEntity({
  name: 'Tightness',
  tableName: 'tightness',
  properties: {
    id: id(),
    clientId: clientId(),
    atMs: atMs(),
    limb: p.string().$type<Limb>(),
    strapId: p.string(),
    strapLabel: p.string(),
    mark: number(),
    /** What the mark counts. */
    counts: p.string().$type<Strap['counts']>(),
    /** How far a wrap was stretched, in words. */
    tension: p.string().nullable(),
    felt: p.integer(),
    superseded: superseded(),
  },
});

export const OcclusionPressureEntity = defineEntity({
  name: 'OcclusionPressure',
  tableName: 'lop',
  properties: {
    id: id(),
    clientId: clientId(),
    atMs: atMs(),
    limb: p.string().$type<Limb>(),
    position: p.string().$type<Position>(),
    cuffId: p.string(),
    cuffLabel: p.string(),
    widthCm: number(),
    girthCm: number(),
    method: p.string().$type<PulseMethod>(),
    site: p.string().$type<PulseSite>(),
    pumpId: p.string(),
    divisionMmHg: p.integer(),
    gaugeErrorMmHg: p.double().$type<number>().nullable(),
    readingSchool: p.string().$type<ReadingSchool>(),
    pressureMmHg: number(),
    pressure: p.json().$type<Derived>(),
    uncertaintyMmHg: p.integer(),
    steady: p.boolean(),
    trialsUsed: p.integer(),
    superseded: superseded(),
  },
});

export const TrialEntity = defineEntity({
  name: 'Trial',
  tableName: 'lop_trial',
  properties: { id: id(), lopId: p.string().index(), place: p.integer(), readings: p.json().$type<Trial>() },
});

export const QuickCheckEntity = defineEntity({
  name: 'QuickCheck',
  tableName: 'lop_quick_check',
  properties: {
    id: id(),
    clientId: clientId(),
    lopId: p.string(),
    atMs: atMs(),
    goneMmHg: number(),
    stepMmHg: p.double().$type<number>().nullable(),
  },
});

export const PracticeAttemptEntity = defineEntity({
  name: 'PracticeAttempt',
  tableName: 'practice_attempt',
  properties: {
    id: id(),
    practitionerId: p.string().index(),
    atMs: atMs(),
    seed: p.bigint('number'),
    errorMmHg: number(),
    points: p.integer(),
    answer: p.json().$type<NewPracticeAttempt>(),
  },
});

export const SessionAttemptEntity = defineEntity({
  name: 'SessionAttempt',
  tableName: 'session_attempt',
  properties: {
    id: id(),
    practitionerId: p.string().index(),
    atMs: atMs(),
    seed: p.bigint('number'),
    points: p.integer(),
    answer: p.json().$type<NewSessionAttempt>(),
  },
});

export const StrengthTestEntity = defineEntity({
  name: 'StrengthTest',
  tableName: 'strength_test',
  properties: {
    id: id(),
    clientId: clientId(),
    atMs: atMs(),
    exerciseId: p.string().$type<ExerciseId>(),
    side: p.string().$type<Side>(),
    loadKg: number(),
    reps: p.integer(),
    oneRepMaxKg: number(),
    oneRepMax: p.json().$type<Derived>(),
    superseded: superseded(),
  },
});

/** One of the plans of a person, which has versions: what it is called, when it is for, whether it counts. */
export const CoursePlanEntity = defineEntity({
  name: 'CoursePlan',
  tableName: 'course_plan',
  properties: {
    id: id(),
    clientId: clientId(),
    name: p.string(),
    occasion: p.json().$type<Occasion>(),
    state: p.string().$type<CoursePlanState>(),
    untilMs: p.bigint('number').nullable(),
  },
});

/** A signed version of a plan; the newest of each plan counts. */
export const PrescriptionEntity = defineEntity({
  name: 'Prescription',
  tableName: 'prescription',
  properties: {
    id: id(),
    clientId: clientId(),
    atMs: atMs(),
    signedBy: p.string(),
    /** Of the first exercise, to search by; the plan is the truth. */
    exerciseId: p.string().$type<ExerciseId>(),
    limb: p.string().$type<Limb>(),
    /** As it was signed, in the shape of its version: read it by `readPlan`. */
    plan: p.json().$type<unknown>(),
    findings: p.json().$type<Finding[]>(),
    overrideReason: p.text().nullable(),
    /** The prescription it re-targets, on whose signature it rests (rule PRS-8). */
    retargets: p.string().nullable(),
    coursePlanId: p.string(),
    /** From what to what it changes the version before, in words. */
    changes: p.json().$type<Text[]>(),
    superseded: superseded(),
  },
});

/** A block of training; the newest of a person counts. */
export const BlockEntity = defineEntity({
  name: 'Block',
  tableName: 'block',
  properties: {
    id: id(),
    clientId: clientId(),
    atMs: atMs(),
    keptBy: p.string(),
    /** In the shape of the release that kept it: read it by `readBlock`. */
    wish: p.json().$type<BlockWish>(),
    sessions: p.json().$type<Scheduled[]>(),
    overrideReason: p.text().nullable(),
    superseded: superseded(),
  },
});

/** An exercise of the practice's own; retired ones stay for the records that name them. */
export const ExerciseEntity = defineEntity({
  name: 'Exercise',
  tableName: 'exercise',
  properties: { id: id(), exercise: p.json().$type<Exercise>(), retiredAtMs: p.bigint('number').nullable() },
});

/** A measure of the practice's own, or what it says otherwise of a standard one; never deleted. */
export const MeasureEntity = defineEntity({
  name: 'Measure',
  tableName: 'measure',
  properties: { id: id(), measure: p.json().$type<Measure>() },
});

export const TemplateEntity = defineEntity({
  name: 'Template',
  tableName: 'template',
  properties: {
    id: id(),
    name: p.string(),
    /** In the shape it was kept in: read it by `readSessionChoice`. */
    session: p.json().$type<unknown>(),
    keptBy: p.string(),
    keptAtMs: atMs(),
    retiredAtMs: p.bigint('number').nullable(),
  },
});

export const SessionEntity = defineEntity({
  name: 'Session',
  tableName: 'session',
  properties: {
    id: id(),
    clientId: clientId(),
    prescriptionId: p.string(),
    openedAtMs: atMs(),
    /** Copied from the log's `session-finished` to find open sessions; the log is the truth. */
    finishedAtMs: p.bigint('number').nullable(),
    /** Frozen when it was opened, in the shape of its version: read it by `readPlan`. */
    plan: p.json().$type<unknown>(),
    /** What later sessions ask of it, made again whenever its log grows in what they ask; the log is the truth. */
    summary: p.json().$type<SessionSummary>(),
    /** It in one line of the person's log once it is finished, made again with its summary; read as text only. */
    logLine: p.json().$type<SessionLine>().nullable().lazy(),
    superseded: superseded(),
  },
});

export const SessionEventEntity = defineEntity({
  name: 'SessionEvent',
  tableName: 'session_event',
  properties: {
    id: id(),
    sessionId: p.string().index(),
    deviceId: p.string(),
    seq: p.integer(),
    atMs: atMs(),
    type: p.string().$type<SessionEventType>(),
    event: p.json().$type<SessionEvent>(),
    receivedAtMs: atMs(),
    practitionerId: p.string(),
  },
});

/** A check of a limb for a rung of the ladder, and the rung that was entered (rule PRO-5). */
export const RungCheckEntity = defineEntity({
  name: 'RungCheck',
  tableName: 'rung_check',
  properties: {
    id: id(),
    clientId: clientId(),
    limb: p.string().$type<Limb>(),
    atMs: atMs(),
    practitionerId: p.string(),
    answers: p.json().$type<LadderAnswers>(),
    rung: p.string().$type<LadderRung>(),
    reason: p.text().nullable(),
  },
});

/** Heavy work in one line (rule PRO-4). */
export const HeavyWorkEntity = defineEntity({
  name: 'HeavyWork',
  tableName: 'heavy_work',
  properties: {
    id: id(),
    clientId: clientId(),
    atMs: atMs(),
    exerciseId: p.string().$type<ExerciseId>(),
    side: p.string().$type<Side>(),
    sets: p.integer(),
    reps: p.integer(),
    loadKg: number(),
    effort: p.integer().nullable(),
    pain: p.integer().nullable(),
    practitionerId: p.string(),
  },
});

/** A measure as it was taken on one occasion (rule OUT-1); one that does not count says why. */
export const OutcomeEntity = defineEntity({
  name: 'Outcome',
  tableName: 'outcome',
  properties: {
    id: id(),
    clientId: clientId(),
    measureId: p.string().$type<MeasureId>(),
    limb: p.string().$type<Limb>().nullable(),
    setting: p.string(),
    atMs: atMs(),
    repeats: p.json().$type<number[]>(),
    value: number(),
    note: p.string(),
    practitionerId: p.string(),
    withdrawn: p.string().nullable(),
  },
});

/** A comparison in one person: with the cuff against without; never deleted (OUT). */
export const ComparisonEntity = defineEntity({
  name: 'Comparison',
  tableName: 'comparison',
  properties: {
    id: id(),
    clientId: clientId(),
    atMs: atMs(),
    design: p.json().$type<Comparison>(),
    practitionerId: p.string(),
    endedAtMs: p.bigint('number').nullable(),
    endedWhy: p.string().nullable(),
  },
});

/** A report as it was issued to a client or a referrer; never changed. */
export const ReportEntity = defineEntity({
  name: 'Report',
  tableName: 'report',
  properties: {
    id: id(),
    clientId: clientId(),
    atMs: atMs(),
    content: p.json().$type<Report>(),
    practitionerId: p.string(),
  },
});

/** Something that went wrong, and what became of it; never deleted (rule OUT-7). */
export const AdverseEventEntity = defineEntity({
  name: 'AdverseEvent',
  tableName: 'adverse_event',
  properties: {
    id: id(),
    clientId: clientId(),
    sessionId: p.string().nullable(),
    atMs: atMs(),
    what: p.string(),
    done: p.string(),
    outcome: p.string(),
    notified: p.string(),
    practitionerId: p.string(),
    writtenAtMs: atMs(),
  },
});

/** What a person has, or had done: it ends by its term or by a clinician, never by a later answer (rule SCR-1). */
export const ConditionEntity = defineEntity({
  name: 'Condition',
  tableName: 'condition',
  properties: {
    id: id(),
    clientId: clientId(),
    cause: p.string(),
    atMs: atMs(),
    detail: p.json().$type<ConditionDetail>(),
    endsAtMs: p.bigint('number').nullable(),
    endedAtMs: p.bigint('number').nullable(),
    endedBy: p.string().nullable(),
    endReason: p.text().nullable(),
  },
});

/** A stop with a record of its own; it ends by what it says or by being lifted, never by a later answer (rule SCR-5). */
export const HoldEntity = defineEntity({
  name: 'Hold',
  tableName: 'hold',
  properties: {
    id: id(),
    clientId: clientId(),
    cause: p.string(),
    words: p.json().$type<Text>(),
    rule: p.string().$type<RuleId>(),
    atMs: atMs(),
    limb: p.string().$type<Limb>().nullable(),
    subject: p.string().$type<FoundSubject>().nullable(),
    ends: p.json().$type<HoldEnd>(),
    liftedAtMs: p.bigint('number').nullable(),
    liftedBy: p.string().nullable(),
    liftReason: p.json().$type<Text>().nullable(),
    isEmergency: p.boolean().default(false),
  },
});

export const AuditEntity = defineEntity({
  name: 'Audit',
  tableName: 'audit',
  properties: {
    id: p.integer().primary().autoincrement(),
    atMs: atMs(),
    practitionerId: p.string(),
    action: p.string(),
    subject: p.string(),
    detail: p.json().$type<Record<string, unknown>>(),
  },
});

export const ENTITIES = [
  PracticeEntity,
  PractitionerEntity,
  KitEntity,
  ClientEntity,
  ScreeningEntity,
  ClearanceEntity,
  ConsentEntity,
  DayCheckEntity,
  GirthEntity,
  TightnessEntity,
  OcclusionPressureEntity,
  TrialEntity,
  QuickCheckEntity,
  PracticeAttemptEntity,
  SessionAttemptEntity,
  StrengthTestEntity,
  CoursePlanEntity,
  PrescriptionEntity,
  BlockEntity,
  ExerciseEntity,
  MeasureEntity,
  TemplateEntity,
  SessionEntity,
  SessionEventEntity,
  RungCheckEntity,
  HeavyWorkEntity,
  OutcomeEntity,
  ComparisonEntity,
  AdverseEventEntity,
  ReportEntity,
  ConditionEntity,
  HoldEntity,
  AuditEntity,
];
