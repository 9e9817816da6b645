import type { LimbKind } from '../quantity/limb';
import type { Joint, Limbs } from './figure';

/** What is around a body: drawn under or beside it. */
export type Prop = 'seat' | 'bed' | 'step' | 'wall' | 'table' | 'bench' | 'roll' | 'wheel';

/** How an exercise looks at its start and at its end. */
export type Figure = {
  start: Limbs;
  end: Limbs;
  held: Joint;
  cuffOn: LimbKind;
  props: readonly Prop[];
  /** Where a weight hangs or is held. */
  load: Joint | null;
  /** A band, from a joint in a direction, in degrees as in `Limbs`. */
  band: { at: Joint; towards: number } | null;
};

export const STANDING: Limbs = { trunk: 180, arm: [0, 0], leg: [0, 0, 90] };
export const FRONT: Limbs = {
  trunk: 180,
  arm: [14, 8],
  farArm: [-14, -8],
  leg: [6, 3, 60],
  farLeg: [-6, -3, -60],
};
export const SITTING: Limbs = { trunk: 180, arm: [15, 40], leg: [90, 0, 90] };
export const SUPINE: Limbs = { trunk: -90, arm: [90, 90], leg: [90, 90, 180] };
export const HOOKED: Limbs = { ...SUPINE, leg: [140, 30, 90] };
export const PRONE: Limbs = { trunk: -90, arm: [-80, -110], leg: [90, 90, 30] };
export const ON_SIDE: Limbs = { trunk: -90, arm: [-60, -110], leg: [90, 90, 110] };
export const BENT: Limbs = { trunk: 115, arm: [0, 0], leg: [-8, -4, 90] };
export const ALL_FOURS: Limbs = { trunk: 95, arm: [0, 0], leg: [0, -90, -90] };
export const PUSH_UP: Limbs = { trunk: 108, arm: [0, 0], leg: [-72, -72, 0] };

export type Drawn = Partial<Limbs>;
export type Around = Partial<Pick<Figure, 'held' | 'props' | 'load' | 'band'>>;
/** A pose it begins from, and what is otherwise at the start, and at the end. */
export type Pose = { base: Limbs; start: Drawn; end: Drawn; around: Around };

export const figure = (base: Limbs, start: Drawn, end: Drawn, around: Around = {}): Pose => ({
  base,
  start,
  end,
  around,
});

export const SEATED = { held: 'hip', props: ['seat'] } as const;
export const IN_BED = { held: 'hip', props: ['bed'] } as const;
