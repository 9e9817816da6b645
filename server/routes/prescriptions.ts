import { Hono } from 'hono';
import { newPrescriptionSchema, type SignedFor } from '#contract/prescription';
import { hardFindings } from '#core/findings';
import { msg, sentences } from '#core/message';
import {
  type Basis,
  type Composed,
  composeCourse,
  onEveryRung,
  planChanges,
  type SessionChoice,
  UnknownChoice,
} from '#core/plan';
import { basisOf, type ClientFacts, onMeasurements, recheck, versionInForce } from '#core/record';
import { passGuards } from '../access/guards';
import type { Env } from '../context';
import type { NoteOnRecord } from '../db/audit';
import { readClient } from '../db/client-facts';
import type { Named } from '../db/read-facts';
import { tellChange } from '../live/tell-change';
import { notFound, Problem, refusedByRules } from '../problem';
import { findingsOf, keepVersion, type VersionToKeep } from '../record/commands/keep-version';
import { readKit } from '../record/kit';
import { body } from '../validate';

/** Signing a version of a plan: every figure is worked out again here, from what is on record. */
export const prescriptionRoutes = new Hono<Env>()
  .post('/:id/prescriptions', body(newPrescriptionSchema), async (c) => {
    const { overrideReason, signedFor, ...session } = c.req.valid('json');
    const client = await readClient(c.var.em, c.req.param('id'), c.var.nowMs, namedIn(session));
    const { coursePlan, before } = planSignedFor(signedFor, client.facts);
    const kit = await readKit(c.var.em);
    const basis = basisOf(client.facts, kit, c.var.practitioner.role, c.var.nowMs);
    const { plan, findings } = composeOrRefuse(session, basis);
    const { guards, reason } = passGuards(findings, c.var.practitioner, overrideReason);
    const note: NoteOnRecord = {
      action: guards.length > 0 ? 'prescribed-past-guard' : 'prescribed',
      detail: { guards: guards.map(({ rule }) => rule), reason },
    };
    await keepVersion(c, note, {
      clientId: client.id,
      coursePlan,
      plan,
      findings,
      overrideReason: reason,
      retargets: null,
      changes: before ? planChanges(before.plan, plan) : [],
    });
    return c.json(await tellChange(c, client.id), 201);
  })

  .post('/:id/prescriptions/:prescriptionId/retarget', async (c) => {
    const client = await readClient(c.var.em, c.req.param('id'), c.var.nowMs);
    const prescription = client.facts.prescriptions.find(({ id }) => id === c.req.param('prescriptionId'));
    if (!prescription) {
      throw new Problem(409, msg('Superseded'), msg('A newer version has been signed: re-target that one.'));
    }
    const kit = await readKit(c.var.em);
    const { findings, retargetable } = recheck(prescription, client.facts, kit, c.var.nowMs);
    if (!retargetable) {
      const others = hardFindings(findings).filter(({ rule }) => rule !== 'PRS-8');
      if (others.length > 0) throw refusedByRules(others);
      throw new Problem(
        409,
        msg('Nothing to re-target'),
        msg('The measurements in force confirm the plan as it is.'),
      );
    }
    const plan = onMeasurements(
      prescription.plan,
      basisOf(client.facts, kit, prescription.role, c.var.nowMs),
    );
    const changes = findings.filter(({ rule }) => rule === 'PRS-8').map(({ message }) => message);
    const note: NoteOnRecord = {
      action: 're-targeted',
      detail: { from: prescription.id, changes },
    };
    await keepVersion(c, note, {
      clientId: client.id,
      coursePlan: { id: prescription.coursePlanId },
      plan,
      findings: findingsOf(prescription),
      overrideReason: prescription.overrideReason,
      retargets: prescription.id,
      changes: planChanges(prescription.plan, plan),
    });
    return c.json(await tellChange(c, client.id), 201);
  });

/** The plan a signature is for, and the version it takes the place of. @throws Problem 404 for a plan that has ended */
function planSignedFor(
  signedFor: SignedFor,
  facts: ClientFacts,
): Pick<VersionToKeep, 'coursePlan'> & { before: ReturnType<typeof versionInForce> } {
  if (signedFor.kind === 'new-plan') return { coursePlan: signedFor, before: undefined };
  const { coursePlanId } = signedFor;
  if (!facts.coursePlans.some(({ id }) => id === coursePlanId)) throw notFound(msg('This plan'));
  return { coursePlan: { id: coursePlanId }, before: versionInForce(facts, coursePlanId) };
}

/** The measurements and tests that choices name, whether or not they still count. */
const namedIn = (session: SessionChoice): Named => {
  const exercises = onEveryRung(session);
  return {
    occlusionIds: exercises.flatMap(({ limbs }) =>
      limbs.flatMap((limb) => (limb.kind === 'measured' ? [limb.occlusionId] : [])),
    ),
    testIds: exercises.flatMap(({ load }) => (load.kind === 'weighed' ? [load.strengthTestId] : [])),
  };
};

function composeOrRefuse(session: SessionChoice, basis: Basis): Composed {
  try {
    return composeCourse(session, basis);
  } catch (error) {
    if (!(error instanceof UnknownChoice)) throw error;
    const { path, says, remedy } = error;
    throw new Problem(422, msg('Not on record'), sentences(says, remedy), [{ path, message: says, remedy }]);
  }
}
