import type { ClientRecord } from '#contract/client';
import type { PracticeView } from '#contract/practice';
import { type Basis, type DraftWish, GOALS, type GoalId, type Plan } from '#core/plan';
import { type Limb, limbKind } from '#core/quantity';
import { isOperated, limbInHand, nextPlan, plansInForce, rungInForce } from '#core/record';
import { trainableLimbs } from './choices';
import type { Start } from './use-start';

/** What the draft is asked for, as far as it is chosen in the composer. */
export type Wish = Pick<
  DraftWish,
  'goal' | 'schoolId' | 'limbs' | 'together' | 'rung' | 'isolatedOnly' | 'place' | 'beforeLift'
>;

/** What is asked for at first: more of what the plan in hand is, or what fits the person and the limb. */
export function firstWish(
  client: ClientRecord,
  practice: PracticeView,
  { inHand, goal }: Pick<Start, 'inHand' | 'goal'>,
  basis: Basis,
): Wish {
  const plan = inHand?.prescription.plan;
  const first = { ...firstGoal(client, plan), ...(goal ? { goal } : {}) };
  const limbs = limbsOf(plan, firstLimb(client));
  return {
    ...first,
    schoolId: plan?.schoolId ?? practice.settings.schoolId,
    ...limbs,
    ...limbsFor(first.goal, limbs.limbs, basis),
    isolatedOnly: false,
    place: plan?.place?.id,
  };
}

/** Both of a pair, where a goal is for both and both can be trained. */
export function limbsFor(
  goal: GoalId,
  limbs: readonly Limb[],
  basis: Basis,
): Pick<Wish, 'limbs' | 'together'> | null {
  const kind = limbs[0] && limbKind(limbs[0]);
  const pair = kind ? trainableLimbs(basis, kind) : [];
  return GOALS[goal].both && limbs.length === 1 && pair.length === 2 ? { limbs: pair, together: true } : null;
}

/** The limbs the last plan worked, and whether two of them at once. */
function limbsOf(plan: Plan | undefined, otherwise: Limb): Pick<Wish, 'limbs' | 'together'> {
  const all = plan?.exercises.flatMap(({ limbs }) => limbs.map(({ limb }) => limb)) ?? [];
  const limbs = [...new Set(all)];
  return {
    limbs: limbs.length > 0 ? limbs : [otherwise],
    together: plan?.exercises.some((exercise) => exercise.limbs.length > 1) ?? false,
  };
}

/** The limb a new plan begins with: one that was measured and that no plan trains yet, else the one in hand. */
function firstLimb({ facts, judgedAtMs }: Pick<ClientRecord, 'facts' | 'judgedAtMs'>): Limb {
  const planned = plansInForce(facts, judgedAtMs).flatMap(({ prescription }) =>
    prescription.plan.exercises.flatMap(({ limbs }) => limbs.map(({ limb }) => limb)),
  );
  const free = facts.occlusions.find(({ limb }) => !planned.includes(limb))?.limb;
  return free ?? limbInHand(facts, nextPlan(facts, judgedAtMs)?.prescription) ?? 'left-thigh';
}

/** What a plan begins with: an operated limb with the rung it is on (rule PRO-5). */
function firstGoal({ facts, judgedAtMs }: ClientRecord, plan: Plan | undefined): Pick<Wish, 'goal' | 'rung'> {
  const limb = plan?.exercises[0]?.limbs[0]?.limb ?? firstLimb({ facts, judgedAtMs });
  const stood = rungInForce(facts, limb)?.rung;
  const operated = isOperated(facts, limb, judgedAtMs);
  const rung = stood === undefined || stood === 'done' ? (operated ? 'passive' : 'isometric') : stood;
  // Nothing was measured: what is left is work without a LOP (rule PRS-7).
  const usual = facts.occlusions.length + facts.tightness.length === 0 ? 'aerobic' : 'size';
  return { goal: plan?.goal ?? (operated ? 'rehab' : usual), rung };
}
