import type { Text } from '../message/message';
import type { Plan } from '../plan/plan';
import type { Library } from '../protocol/exercises';
import { muscleKeys } from '../protocol/muscles';
import { trains } from '../protocol/work-mode';
import { type LimbKind, limbKind } from '../quantity/limb';
import type { CoursePlan } from './course-plan';

/** What a block asks of a plan that it schedules. */
export type BlockPlan = {
  id: string;
  name: Text;
  plan: Plan;
  /** Kinds of limbs that move under a cuff; none in passive work, which may be daily (rule PRO-3). */
  kinds: LimbKind[];
  /** Muscles that work, each with the kind of its limb: "quadriceps leg". */
  muscles: string[];
  /** Sets of one session. */
  sets: number;
};

export function blockPlanOf({ id, name }: CoursePlan, plan: Plan, library: Library): BlockPlan {
  const moved = plan.exercises.filter(trains);
  const limbsIn = ({ limbs }: Plan['exercises'][number]) => limbs.map(({ limb }) => limb);
  return {
    id,
    name,
    plan,
    kinds: [...new Set(moved.flatMap((exercise) => limbsIn(exercise).slice(0, 1).map(limbKind)))],
    muscles: [
      ...new Set(moved.flatMap((exercise) => muscleKeys(exercise.exerciseId, limbsIn(exercise), library))),
    ],
    sets: plan.exercises.reduce((sum, { sets }) => sum + sets.length, 0),
  };
}

/** Whether two plans move the same kind of limb, so that a day must lie between them (rule PRO-3). */
export const share = (a: BlockPlan, b: BlockPlan): boolean => a.kinds.some((kind) => b.kinds.includes(kind));
