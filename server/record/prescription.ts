import { p } from '@mikro-orm/core';
import type { Role } from '#core/access';
import { type Finding, guardFindings } from '#core/findings';
import type { Text } from '#core/message';
import { type Plan, readPlan } from '#core/plan';
import type { ExerciseId } from '#core/protocol';
import type { Limb } from '#core/quantity';
import { type PrescriptionFact, VERSIONS_COUNT_MS } from '#core/record';
import type { Prepare } from '../db/dialect/connection';
import { atMs, clientId, defineRecord, id, superseded } from './define';
import { AS_RECEIVED, factsOf, read } from './read';

export const prescriptionRecord = defineRecord({
  name: 'Prescription',
  table: 'prescription',
  of: 'client',
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
    /** Made by the answer to the review of the last session before it (rule REV-10). */
    isByReview: p.boolean().default(false),
    superseded: superseded(),
  },
  nullableInFile: ['coursePlanId'],
  refers: { signedBy: 'person', retargets: 'prescription', coursePlanId: 'course_plan' },
  at: ['atMs'],
  newestOf: ['coursePlanId'],
  uses: { practitioner: ['signedBy'] },
  archive: {
    kind: 'prescription',
    follows: (row) => searchedBy(readPlan(row.plan)),
    ofTheSame: { property: 'coursePlanId', table: 'course_plan' },
  },
  indexes: [
    'prescription (client_id, at_ms)',
    'prescription (client_id) where superseded = 0',
    'prescription (course_plan_id, at_ms)',
    'prescription (course_plan_id) where superseded = 0',
  ],
});

/** What a prescription is searched by: its first exercise and limb. */
const searchedBy = ({ exercises: [exercise] }: Plan) => ({
  exerciseId: exercise?.exerciseId ?? '',
  limb: exercise?.limbs[0]?.limb ?? '',
});

/** A prescription as it is kept: `prescriptionFact` adds on whose signature it rests. */
export const signedPlans = factsOf(prescriptionRecord, {
  take: [
    'id',
    'atMs',
    'signedBy',
    'plan',
    'findings',
    'overrideReason',
    'retargets',
    'coursePlanId',
    'changes',
    'isByReview',
  ],
  also: {
    isSignedElsewhere: `exists (select 1 from import_row join import_batch on import_batch.id = import_id
      where kind = 'prescription' and row_id = prescription.id and is_move = 0)`,
  },
  parts: [
    {
      when: `superseded = 0 and exists (select 1 from course_plan where course_plan.id = course_plan_id and state <> 'ended')`,
    },
  ],
  of: (row) => row,
});

type SignedPlan = ReturnType<typeof signedPlans.of>;

/** Versions of a client's plans that something newer has taken the place of, of the weeks that a block may reach back. */
export const readFormerVersions = (prepare: Prepare, clientId: string, nowMs: number): SignedPlan[] =>
  read(
    signedPlans,
    prepare(`${signedPlans.select} where client_id = ? and superseded = 1 and at_ms >= ? ${AS_RECEIVED}`),
    clientId,
    nowMs - VERSIONS_COUNT_MS,
  );

/** @param roles of the practice's accounts, by id */
export function prescriptionFact(
  prepare: Prepare,
  roles: ReadonlyMap<string, Role>,
  { signedBy, retargets, findings, plan, isSignedElsewhere, isByReview, ...row }: SignedPlan,
): PrescriptionFact {
  const signature = signatureOf(prepare, { id: row.id, signedBy, retargets });
  return {
    ...row,
    signedBy,
    versions: signature.versions,
    role: roles.get(signature.signedBy) ?? 'coach',
    ...(isByReview ? { isByReview: true } : {}),
    ...(isSignedElsewhere === 1 ? { isSignedElsewhere: true } : {}),
    guards: guardFindings(findings).map(({ rule, subject, exerciseIndex }) => ({
      rule,
      subject,
      exerciseIndex: exerciseIndex ?? null,
    })),
    plan: readPlan(plan),
  };
}

/** The version of a plan that was in force at a moment: what was signed last before it. */
export function versionAt(
  prepare: Prepare,
  coursePlanId: string,
  atMs: number,
): { id: string; clientId: string; plan: Plan } | undefined {
  const row = prepare(
    `select id, client_id as "clientId", plan from prescription
     where course_plan_id = ? and at_ms <= ? order by at_ms desc limit 1`,
  ).get(coursePlanId, atMs) as { id: string; clientId: string; plan: string } | undefined;
  return row && { ...row, plan: readPlan(JSON.parse(row.plan)) };
}

type Signed = Pick<SignedPlan, 'id' | 'signedBy' | 'retargets'>;

/**
 * Who signed what a prescription rests on, and the versions that rest on that signature: a re-target rests on the
 * signature of the one it re-targets (rule PRS-8).
 */
function signatureOf(
  prepare: Prepare,
  { id, signedBy, retargets }: Signed,
): { versions: string[]; signedBy: string } {
  const before =
    retargets &&
    prepare('select id, signed_by as "signedBy", retargets from prescription where id = ?').get(retargets);
  if (!before) return { versions: [id], signedBy };
  const first = signatureOf(prepare, before as Signed);
  return { ...first, versions: [id, ...first.versions] };
}
