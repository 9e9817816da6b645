import type { Role } from '../access/permissions';
import { changePercentLop } from '../plan/choices';
import { composeSession } from '../plan/compose';
import { cutSets } from '../plan/cut-sets';
import { oneSetFewer } from '../plan/lighter';
import type { Lighter } from '../plan/lighter-schema';
import type { Plan } from '../plan/plan';
import { measuredLimbs } from '../plan/target';
import { RULES } from '../rules/catalogue';
import { basisOf } from './basis';
import type { ClientFacts, KitInUse } from './facts';
import { onPressuresInForce } from './recheck';

const { lighterPoints } = RULES['SCR-3'].figures;

/**
 * What a session freezes of a plan that was checked again: a deload week's share of its sets (PRO-4), and what is made lighter
 * for today alone (SCR-3). Nothing of it is more than was signed.
 * @param role of who answers for the plan
 */
export function planForToday(
  plan: Plan,
  { share, lighter, role }: { share: number; lighter: Lighter | null; role: Role },
  facts: ClientFacts,
  kit: KitInUse,
  nowMs: number,
): Plan {
  const shared = (whole: Plan) => (share === 1 ? whole : cutSets(whole, share));
  if (!lighter) return shared(plan);
  if (lighter.how === 'sets') return { ...oneSetFewer(shared(plan)), today: lighter };
  const basis = basisOf(facts, kit, role, nowMs);
  const session = onPressuresInForce(plan, basis);
  const exercises = session.exercises.map((choice) => ({
    ...choice,
    limbs: changePercentLop(choice.limbs, (percentLop) => Math.max(1, percentLop - lighterPoints)),
  }));
  return { ...shared(composeSession({ ...session, exercises }, basis).plan), today: lighter };
}

/** Whether ten points less is anything for a plan: under a strap no pressure is known. */
export const hasPressure = ({ exercises }: Pick<Plan, 'exercises'>): boolean =>
  exercises.some((exercise) => measuredLimbs(exercise).length > 0);
