import { randomUUID } from 'node:crypto';
import { type Context, Hono } from 'hono';
import { newPrescriptionSchema } from '#contract/prescription';
import { type Finding, hardFindings } from '#core/findings/finding';
import type { SessionChoice } from '#core/plan/choices';
import { type Basis, type Composed, composeSession, UnknownChoice } from '#core/plan/compose';
import type { Plan } from '#core/plan/plan';
import { basisOf } from '#core/record/basis';
import type { PassedGuard } from '#core/record/facts';
import { planInForce } from '#core/record/in-force';
import { recheck } from '#core/record/recheck';
import { passGuards } from '../access/guards';
import type { Env } from '../context';
import type { AuditNote } from '../db/audit';
import { readClient } from '../db/client-facts';
import { PrescriptionEntity } from '../db/entities';
import { readKit } from '../db/kit';
import type { Named } from '../db/read-facts';
import { withAudit } from '../db/with-audit';
import { tellChange } from '../live/tell-change';
import { Problem, refusedByRules } from '../problem';
import { body } from '../validate';

/** Signing a prescription: every figure is worked out again here, from what is on record. */
export const prescriptionRoutes = new Hono<Env>()
  .post('/:id/prescriptions', body(newPrescriptionSchema), async (c) => {
    const { overrideReason, ...session } = c.req.valid('json');
    const client = await readClient(c.var.em, c.req.param('id'), c.var.nowMs, namedIn(session));
    const kit = await readKit(c.var.em);
    const basis = basisOf(client.facts, kit, c.var.practitioner.role, c.var.nowMs);
    const { plan, findings } = composeOrRefuse(session, basis);
    const { guards, reason } = passGuards(findings, c.var.practitioner, overrideReason);
    const id = randomUUID();
    const note = {
      action: guards.length > 0 ? 'prescribed-past-guard' : 'prescribed',
      subject: client.id,
      detail: { id, guards: guards.map(({ rule }) => rule), reason },
    };
    const kept = { id, clientId: client.id, plan, findings, overrideReason: reason, retargets: null };
    await keep(c, note, kept);
    return c.json(await tellChange(c, client.id), 201);
  })

  .post('/:id/prescriptions/:prescriptionId/retarget', async (c) => {
    const client = await readClient(c.var.em, c.req.param('id'), c.var.nowMs);
    const prescription = planInForce(client.facts);
    if (prescription?.id !== c.req.param('prescriptionId')) {
      throw new Problem(409, 'Superseded', 'A newer prescription has been signed: re-target that one.');
    }
    const kit = await readKit(c.var.em);
    const { plan, findings, retargetable } = recheck(prescription, client.facts, kit, c.var.nowMs);
    if (!plan || !retargetable) {
      const others = hardFindings(findings).filter(({ rule }) => rule !== 'PRS-8');
      if (others.length > 0) throw refusedByRules(others);
      throw new Problem(409, 'Nothing to re-target', 'The measurements in force confirm the plan as it is.');
    }
    const id = randomUUID();
    const changes = findings.filter(({ rule }) => rule === 'PRS-8').map(({ message }) => message);
    const note = {
      action: 're-targeted',
      subject: client.id,
      detail: { id, from: prescription.id, changes },
    };
    await keep(c, note, {
      id,
      clientId: client.id,
      plan,
      // The guards stay passed as they were signed.
      findings: findingsOf(prescription.guards),
      overrideReason: prescription.overrideReason,
      retargets: prescription.id,
    });
    return c.json(await tellChange(c, client.id), 201);
  });

type Kept = {
  id: string;
  clientId: string;
  plan: Plan;
  findings: readonly Finding[];
  overrideReason: string | null;
  retargets: string | null;
};

/** Keeps a version of a plan as signed by whoever works now. */
async function keep(c: Context<Env>, note: AuditNote, kept: Kept): Promise<void> {
  const [exercise] = kept.plan.exercises;
  const [target] = exercise?.limbs ?? [];
  if (!exercise || !target) throw new Error('A composed plan has no exercise.');
  await withAudit(c, note, (em) => {
    em.create(PrescriptionEntity, {
      ...kept,
      findings: [...kept.findings],
      atMs: c.var.nowMs,
      signedBy: c.var.practitioner.id,
      exerciseId: exercise.exerciseId,
      limb: target.limb,
    });
  });
}

/** The measurements and tests that choices name, whether or not they still count. */
const namedIn = ({ exercises }: SessionChoice): Named => ({
  occlusionIds: exercises.flatMap(({ limbs }) =>
    limbs.flatMap((limb) => (limb.kind === 'measured' ? [limb.occlusionId] : [])),
  ),
  testIds: exercises.flatMap(({ load }) => (load.kind === 'weighed' ? [load.strengthTestId] : [])),
});

function composeOrRefuse(session: SessionChoice, basis: Basis): Composed {
  try {
    return composeSession(session, basis);
  } catch (error) {
    if (!(error instanceof UnknownChoice)) throw error;
    const { path, message, remedy } = error;
    throw new Problem(422, 'Not on record', `${message} ${remedy}`, [{ path, message, remedy }]);
  }
}

/** Passed guards as the findings they were. */
const findingsOf = (guards: readonly PassedGuard[]): Finding[] =>
  guards.map(({ rule, subject, exerciseIndex }) => ({
    rule,
    subject,
    level: 'guard',
    message: 'Passed when it was first signed.',
    remedy: '',
    ...(exerciseIndex === null ? {} : { exerciseIndex }),
  }));
