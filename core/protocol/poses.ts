import { ARM_POSES } from './data/arm-poses';
import { LEG_POSES } from './data/leg-poses';
import { EXERCISES, type StandardExerciseId } from './exercises';
import type { Limbs } from './figure';
import { type Drawn, type Figure, FRONT, ON_SIDE, type Pose } from './pose';

const POSES: Record<StandardExerciseId, Pose> = { ...LEG_POSES, ...ARM_POSES };

/**
 * How an exercise of the library looks, at its start and its end; null for one the practice has added.
 * @example figureOf('knee-extension')?.held //=> 'hip'
 */
export function figureOf(id: string): Figure | null {
  if (!isStandard(id)) return null;
  const { base, start, end, around } = POSES[id];
  const { sides, limbKind: cuffOn } = EXERCISES[id];
  const isBoth = sides === 'both';
  return {
    start: posed(base, start, isBoth),
    end: posed(base, { ...start, ...end }, isBoth),
    held: 'ankle',
    cuffOn,
    props: [],
    load: null,
    band: null,
    ...around,
  };
}

/** Whether hips and shoulders move to the side in it: it is drawn from the front, or lying on the side. */
export const movesSideways = (id: string): boolean =>
  isStandard(id) && (POSES[id].base === FRONT || POSES[id].base === ON_SIDE);

const isStandard = (id: string): id is StandardExerciseId => Object.hasOwn(POSES, id);

/** The other side does the same where both work, and else stays as it was. */
function posed(base: Limbs, drawn: Drawn, isBoth: boolean): Limbs {
  const near = { ...base, ...drawn };
  return {
    ...near,
    farArm: drawn.farArm ?? base.farArm ?? (isBoth ? near.arm : base.arm),
    farLeg: drawn.farLeg ?? base.farLeg ?? (isBoth ? near.leg : base.leg),
  };
}
