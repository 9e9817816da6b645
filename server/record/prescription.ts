import { p } from '@mikro-orm/core';
import type { Finding } from '#core/findings';
import type { Text } from '#core/message';
import { type Plan, readPlan } from '#core/plan';
import type { ExerciseId } from '#core/protocol';
import type { Limb } from '#core/quantity';
import { atMs, clientId, defineRecord, id, superseded } from './define';

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
