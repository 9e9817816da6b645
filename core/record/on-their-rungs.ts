import { onRung } from '../plan/rungs';
import type { ClientFacts, PassedGuard, PrescriptionFact } from './facts';
import { type Ladder, rungInForce } from './ladder-in-force';

/**
 * A version with the work of the rung that its limb is on: down by itself, up by a check (rules PRO-5, CRS-2). A limb that was never
 * checked is on the first rung.
 */
export function onItsRung(prescription: PrescriptionFact, facts: Ladder): PrescriptionFact {
  const { plan } = prescription;
  if (!plan.rungs) return prescription;
  return { ...prescription, plan: onRung(plan, rungInForce(facts, plan.rungs.limb)?.rung ?? 'passive') };
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
