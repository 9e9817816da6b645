import { type Message, msg } from '../message/message';
import { RUNG_NAMES } from '../plan/goals';
import { onRung } from '../plan/rungs';
import { LIMB_LABELS } from '../quantity/limb';
import { newestBy } from '../quantity/newest';
import type { ClientFacts, PassedGuard, PrescriptionFact } from './facts';
import { type Ladder, rungInForce } from './ladder-in-force';

/**
 * A version with the work of the rung that its limb is on: down by itself, up by a check (rules PRO-5, CRS-2). It is as it was signed
 * until the limb's rung changes after that, since a clinician may sign above it with a reason.
 */
export function onItsRung(prescription: PrescriptionFact, facts: Ladder): PrescriptionFact {
  const { rungs } = prescription.plan;
  if (!rungs) return prescription;
  const stood = rungInForce(facts, rungs.limb);
  const rung = stood && stood.sinceMs >= prescription.atMs ? stood.rung : rungs.signedOn;
  const plan = onRung(prescription.plan, rung);
  // What a version changed is said of the rung it was signed on.
  return { ...prescription, plan, changes: plan.rungs?.rung === rungs.signedOn ? prescription.changes : [] };
}

/** A record whose versions have the work of the rungs that their limbs are on. */
export const onTheirRungs = (facts: ClientFacts): ClientFacts => ({
  ...facts,
  prescriptions: facts.prescriptions.map((one) => onItsRung(one, facts)),
});

/** The guards that were passed with a signature and still stand: those of one exercise only on the rung they were passed on. */
export const guardsThatStand = ({
  guards,
  plan,
}: Pick<PrescriptionFact, 'guards' | 'plan'>): PassedGuard[] =>
  plan.rungs && plan.rungs.rung !== plan.rungs.signedOn
    ? guards.filter(({ exerciseIndex }) => exerciseIndex === null)
    : guards;

/** What brought a plan to the rung it is on since its last session, in words; null where nothing did. */
export function rungMoved(
  { plan, coursePlanId }: Pick<PrescriptionFact, 'plan' | 'coursePlanId'>,
  facts: Ladder,
): Message | null {
  const last = newestBy(
    facts.sessions.filter((one) => one.coursePlanId === coursePlanId && one.rung !== undefined),
    ({ startedAtMs }) => startedAtMs,
  );
  const stood = plan.rungs && rungInForce(facts, plan.rungs.limb);
  if (!plan.rungs || !stood || !last?.rung || last.rung === plan.rungs.rung) return null;
  const values = {
    limb: LIMB_LABELS[plan.rungs.limb],
    from: RUNG_NAMES[last.rung],
    to: RUNG_NAMES[plan.rungs.rung],
  };
  return stood.fell
    ? msg('{limb}: {from} → {to}, down by itself after {fell}.', { ...values, fell: stood.fell })
    : msg('{limb}: {from} → {to}, as it was checked.', values);
}
