import { z } from 'zod';
import { reachedSchema } from '#core/aerobic';
import {
  coursePlanChoiceSchema,
  coursePlanStateSchema,
  ladderAnswersSchema,
  planNameSchema,
} from '#core/course';
import { derivedSchema } from '#core/derivation';
import { msg, textSchema } from '#core/message';
import {
  pulseMethodSchema,
  pulseSiteSchema,
  readingSchoolSchema,
  shelfLifeSchema,
  trialSchema,
} from '#core/occlusion-pressure';
import { comparisonWishSchema, measureSchema, reportSchema, takenSchema } from '#core/outcomes';
import { isPlan, readSessionChoice } from '#core/plan';
import { exerciseSchema, ladderRungSchema } from '#core/protocol';
import { limbSchema, positionSchema } from '#core/quantity';
import { RULE_IDS } from '#core/rules';
import {
  bloodPressureSchema,
  clearanceSchema,
  clearanceSubjectSchema,
  conditionDetailSchema,
  consentSchema,
  dayCheckSchema,
  itemIdSchema,
  itemPlaceSchema,
  procedureSchema,
} from '#core/screening';
import { sessionEventSchema } from '#core/session';
import { heavyWorkChoiceSchema, sideSchema } from '#core/strength';
import { attachmentPartSchema, attachmentRowSchema } from './attachments';
import { aboutSchema, NOTHING_KNOWN } from './client';
import { RETRACTABLE } from './corrections';
import { kitItemSchema, practiceSettingsSchema, roleSchema } from './practice';
import { newPracticeAttemptSchema, newSessionAttemptSchema } from './practice-attempt';

// A row of an archive: what was written down, in the words and units of the contract. What follows from it
// (summaries, counts, what counts now) is not in it, and is worked out again by the import.

const id = z.string().min(1).max(80);
const text = z.string().max(4_000);
/** Wall-clock ms since 1970. */
const atMs = z.number().int().min(-1e14).max(1e14);
const figure = z.number().min(-1e6).max(1e6);
/** JSON in a shape that another reader checks. */
const json = z.record(z.string(), z.unknown());

const ofClient = { id, clientId: id, atMs };
const ofKit = kitItemSchema.options.map((option) => option.shape.item);
const plan = z.unknown().refine(isPlan, msg('A plan that no release of this kind has written.'));

/** A row of each kind, in an order in which every row is after those it names. */
export const ARCHIVE_ROWS = {
  practice: practiceSettingsSchema.strict(),
  practitioner: z.strictObject({
    id,
    name: text,
    role: roleSchema,
    listOrder: z.number().int(),
    elsewhere: z.boolean(),
  }),
  kit: z.strictObject({
    id,
    list: z.enum(['cuffs', 'pumps', 'weightKits', 'straps']),
    item: z.union(ofKit as [(typeof ofKit)[number], ...(typeof ofKit)[number][]]),
    retiredAtMs: atMs.nullable(),
  }),
  exercise: z.strictObject({ id, exercise: exerciseSchema, retiredAtMs: atMs.nullable() }),
  measure: z.strictObject({ id, measure: measureSchema }),
  template: z.strictObject({
    id,
    name: text,
    session: z
      .unknown()
      .refine(
        (kept) => readSessionChoice(kept) !== null,
        msg('A template that no release of this kind has written.'),
      ),
    keptBy: id,
    keptAtMs: atMs,
    retiredAtMs: atMs.nullable(),
  }),
  'practice-attempt': z.strictObject({
    id,
    practitionerId: id,
    atMs,
    seed: z.number().int().min(0),
    errorMmHg: figure,
    points: z.number().int(),
    answer: newPracticeAttemptSchema,
  }),
  'session-attempt': z.strictObject({
    id,
    practitionerId: id,
    atMs,
    seed: z.number().int().min(0),
    points: z.number().int(),
    answer: newSessionAttemptSchema,
  }),
  client: z.strictObject({
    id,
    name: z.string().trim().min(1).max(80),
    story: z.string().max(400),
    shelfLife: shelfLifeSchema,
    limbShelfLives: z.array(z.object({ limb: limbSchema, shelfLife: shelfLifeSchema })).max(8),
    addedAtMs: atMs,
    /** When they were taken off the list of people; archives of earlier releases do not say. */
    archivedAtMs: atMs.nullable().default(null),
    about: aboutSchema.default(NOTHING_KNOWN),
  }),
  screening: z.strictObject({
    ...ofClient,
    version: z.number().int(),
    yes: z.array(itemIdSchema).max(100),
    bloodPressures: z.array(bloodPressureSchema).max(3),
    note: text,
    procedures: z.array(procedureSchema).max(8),
    /** Archives of earlier releases name neither. */
    places: z.array(itemPlaceSchema).max(20).default([]),
    medicines: z.array(z.string().max(80)).max(20).default([]),
    adultFromMs: atMs.nullable().default(null),
    by: roleSchema.nullable(),
  }),
  clearance: z.strictObject({ ...ofClient, clearance: clearanceSchema }),
  consent: z.strictObject({ ...ofClient, ...consentSchema.shape }),
  'day-check': z.strictObject({
    ...ofClient,
    answers: dayCheckSchema,
    by: roleSchema.nullable().default(null),
  }),
  fit: z.strictObject({
    ...ofClient,
    limb: limbSchema,
    girthCm: z.number().positive().max(200),
    kind: z.enum(['cuff', 'strap']),
    kitId: id,
    label: text,
    widthCm: z.number().positive().max(50),
  }),
  tightness: z.strictObject({
    ...ofClient,
    limb: limbSchema,
    strapId: id,
    strapLabel: text,
    mark: z.number().min(0).max(100),
    /** Archives of earlier releases have straps with marks alone. */
    counts: z.enum(['marks', 'turns', 'squeezes']).default('marks'),
    tension: z.string().max(60).nullable().default(null),
    felt: z.number().int().min(0).max(10),
  }),
  'occlusion-pressure': z.strictObject({
    ...ofClient,
    limb: limbSchema,
    position: positionSchema,
    cuffId: id,
    cuffLabel: text,
    widthCm: z.number().positive().max(50),
    girthCm: z.number().positive().max(200),
    method: pulseMethodSchema,
    site: pulseSiteSchema,
    pumpId: id,
    divisionMmHg: z.number().int().min(0).max(50),
    gaugeErrorMmHg: z.number().min(0).max(20).nullable().default(null),
    readingSchool: readingSchoolSchema,
    pressureMmHg: z.number().min(20).max(300),
    pressure: derivedSchema,
    uncertaintyMmHg: z.number().int().min(0).max(300),
    steady: z.boolean(),
    trialsUsed: z.number().int().min(0).max(20),
  }),
  trial: z.strictObject({ id, lopId: id, place: z.number().int().min(0).max(50), readings: trialSchema }),
  'quick-check': z.strictObject({
    ...ofClient,
    lopId: id,
    goneMmHg: z.number().min(20).max(300),
    stepMmHg: z.number().min(1).max(100).nullable(),
  }),
  'strength-test': z.strictObject({
    ...ofClient,
    exerciseId: id,
    side: sideSchema,
    loadKg: z.number().positive().max(500),
    reps: z.number().int().min(1).max(15),
    oneRepMaxKg: z.number().positive().max(2_000),
    oneRepMax: derivedSchema,
  }),
  'course-plan': z.strictObject({
    id,
    clientId: id,
    ...coursePlanChoiceSchema.shape,
    name: planNameSchema,
    /** In archives of earlier releases every plan has a name of its own. */
    isNamed: z.boolean().default(true),
    state: coursePlanStateSchema,
  }),
  prescription: z.strictObject({
    ...ofClient,
    coursePlanId: id,
    signedBy: id,
    plan,
    findings: z.array(json).max(200),
    overrideReason: text.nullable(),
    retargets: id.nullable(),
    changes: z.array(textSchema).max(200),
    /** Not said in archives of earlier releases. */
    isByReview: z.boolean().default(false),
  }),
  block: z.strictObject({
    ...ofClient,
    keptBy: id,
    wish: json,
    sessions: z.array(z.unknown()).max(400),
    overrideReason: text.nullable(),
  }),
  session: z.strictObject({
    id,
    clientId: id,
    prescriptionId: id,
    openedAtMs: atMs,
    plan: plan.nullable(),
  }),
  event: z.strictObject({ event: sessionEventSchema, receivedAtMs: atMs, practitionerId: id }),
  'rung-check': z.strictObject({
    ...ofClient,
    limb: limbSchema,
    practitionerId: id,
    answers: ladderAnswersSchema,
    rung: ladderRungSchema,
    reason: text.nullable(),
  }),
  'heavy-work': z.strictObject({
    ...ofClient,
    ...heavyWorkChoiceSchema.shape,
    atMs,
    practitionerId: id,
  }),
  outcome: z.strictObject({
    ...ofClient,
    ...takenSchema.shape,
    reached: reachedSchema.nullable().default(null),
    value: figure,
    practitionerId: id,
    withdrawn: text.nullable(),
  }),
  comparison: z.strictObject({
    ...ofClient,
    design: z.intersection(comparisonWishSchema, z.object({ seed: z.number().int() })),
    practitionerId: id,
    endedAtMs: atMs.nullable(),
    endedWhy: text.nullable(),
  }),
  'adverse-event': z.strictObject({
    ...ofClient,
    sessionId: id.nullable(),
    what: text,
    done: text,
    outcome: text,
    notified: text,
    practitionerId: id,
    writtenAtMs: atMs,
  }),
  'visit-note': z.strictObject({ ...ofClient, writtenAtMs: atMs, words: text, practitionerId: id }),
  attachment: z.strictObject({ ...ofClient, ...attachmentRowSchema, practitionerId: id }),
  'attachment-part': z.strictObject({
    id,
    attachmentId: id,
    place: z.number().int().min(0).max(100),
    content: attachmentPartSchema,
  }),
  report: z.strictObject({ ...ofClient, content: reportSchema, practitionerId: id }),
  condition: z.strictObject({
    ...ofClient,
    cause: text,
    detail: conditionDetailSchema,
    endsAtMs: atMs.nullable(),
    endedAtMs: atMs.nullable(),
    endedBy: id.nullable(),
    endReason: text.nullable(),
  }),
  hold: z.strictObject({
    ...ofClient,
    cause: text,
    words: textSchema,
    rule: z.enum(RULE_IDS),
    limb: limbSchema.nullable(),
    subject: clearanceSubjectSchema.nullable(),
    ends: z.discriminatedUnion('by', [
      z.object({ by: z.literal('time'), atMs, retakeFromMs: atMs.optional() }),
      z.object({ by: z.literal('review'), sessionId: id, notBeforeMs: atMs }),
      z.object({ by: z.literal('screening') }),
      z.object({ by: z.literal('clinician'), notBeforeMs: atMs }),
    ]),
    liftedAtMs: atMs.nullable(),
    liftedBy: id.nullable(),
    liftReason: textSchema.nullable(),
    isEmergency: z.boolean().default(false),
  }),
  /** After everything that can be retracted. */
  retraction: z.strictObject({
    ...ofClient,
    kind: z.enum(RETRACTABLE),
    rowId: id,
    practitionerId: id,
    reason: text,
  }),
  audit: z.strictObject({
    atMs,
    practitionerId: z.string().max(80),
    action: text,
    subject: text,
    detail: json,
  }),
} as const;

export type ArchiveKind = keyof typeof ARCHIVE_ROWS;
export const ARCHIVE_KINDS = Object.keys(ARCHIVE_ROWS) as ArchiveKind[];
