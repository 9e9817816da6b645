import { randomUUID } from 'node:crypto';
import type { Context } from 'hono';
import { Hono } from 'hono';
import type { ClientRecord } from '#contract/client';
import { type NewPrescription, newPrescriptionSchema } from '#contract/prescription';
import { makeableLoads } from '#core/load/weight-kit';
import { composePlan } from '#core/plan/compose';
import { measurementsOf } from '#core/plan/measurements';
import { guardFindings, hardFindings } from '#core/rules/finding';
import { limitsInForce } from '#core/screening/clearance';
import type { Env } from '../context';
import { readClient } from '../db/client-facts';
import { PrescriptionEntity } from '../db/entities';
import { findKit } from '../db/kit';
import { withAudit } from '../db/with-audit';
import { notFound, Problem, refusedByRules, refusedField } from '../problem';
import { body } from '../validate';

/** Signing a prescription: every figure is worked out again here, from what is on record. */
export const prescriptionRoutes = new Hono<Env>().post(
  '/:id/prescriptions',
  body(newPrescriptionSchema),
  async (c) => {
    const client = await readClient(c.var.em, c.req.param('id'), c.var.nowMs);
    const { occlusionId, strengthTestId, weightKitId, overrideReason, ...choices } = c.req.valid('json');
    const measured = await measurementsFor(c, client, { occlusionId, strengthTestId, weightKitId }, choices);
    const { plan, findings } = composePlan(choices, measured);
    if (hardFindings(findings).length > 0) throw refusedByRules(hardFindings(findings));
    const guards = guardFindings(findings);
    if (guards.length > 0 && c.var.practitioner.role !== 'clinician') throw refusedByRules(guards);
    if (guards.length > 0 && !overrideReason) {
      throw new Problem(422, 'A reason is needed', 'A guard is passed only with a clinician’s reason.', [
        {
          path: 'overrideReason',
          message: 'Give the reason for passing the guard.',
          rule: 'SCR-4',
          level: 'guard',
        },
      ]);
    }
    const id = randomUUID();
    const [exercise] = plan.exercises;
    const [target] = exercise?.limbs ?? [];
    if (!exercise || !target) throw new Error('A composed plan has no exercise.');
    const note = {
      action: guards.length > 0 ? 'prescribed-past-guard' : 'prescribed',
      subject: client.id,
      detail: { id, guards: guards.map(({ rule }) => rule), reason: overrideReason ?? null },
    };
    await withAudit(c, note, (em) => {
      em.create(PrescriptionEntity, {
        id,
        clientId: client.id,
        atMs: c.var.nowMs,
        signedBy: c.var.practitioner.id,
        occlusionId,
        strengthTestId,
        side: measured.testedSide,
        exerciseId: choices.exerciseId,
        limb: choices.limb,
        pressureMmHg: target.pressure.value,
        loadKg: exercise.load.value,
        plan,
        findings,
        overrideReason: guards.length > 0 ? (overrideReason ?? null) : null,
      });
    });
    return c.json(await readClient(c.var.em, client.id, c.var.nowMs), 201);
  },
);

async function measurementsFor(
  c: Context<Env>,
  client: ClientRecord,
  ids: Pick<NewPrescription, 'occlusionId' | 'strengthTestId' | 'weightKitId'>,
  choices: Pick<NewPrescription, 'limb' | 'exerciseId'>,
) {
  const occlusion = client.facts.occlusions.find((fact) => fact.id === ids.occlusionId);
  if (!occlusion) throw notFound('This occlusion pressure');
  if (occlusion.limb !== choices.limb) {
    throw refusedField(
      'Another limb',
      'occlusionId',
      'LOP-4',
      'This pressure belongs to another limb and is never copied.',
      'Measure this limb.',
    );
  }
  const test = client.facts.strengthTests.find((fact) => fact.id === ids.strengthTestId);
  if (!test) throw notFound('This strength test');
  if (test.exerciseId !== choices.exerciseId) {
    throw refusedField(
      'Another exercise',
      'strengthTestId',
      'LOAD-1',
      'This test is of another exercise.',
      'Test the one prescribed.',
    );
  }
  const weightKit = await findKit(c.var.em, 'weightKits', ids.weightKitId);
  if (makeableLoads(weightKit).length === 0) {
    throw refusedField(
      'No kilograms',
      'weightKitId',
      'LOAD-4',
      `${weightKit.label} has no load in kg.`,
      'Choose weights that have.',
    );
  }
  return measurementsOf(occlusion, test, {
    cuff: await findKit(c.var.em, 'cuffs', occlusion.cuffId),
    weightKit,
    massUnit: client.facts.units.mass,
    limits: limitsInForce(client.facts.clearances, c.var.nowMs),
  });
}
