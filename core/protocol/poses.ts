import type { LimbKind } from '../quantity/limb';
import { EXERCISES, type StandardExerciseId } from './exercises';
import type { Joint, Limbs } from './figure';

/** What stands around a body: drawn under or beside it. */
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

const STANDING: Limbs = { trunk: 180, arm: [0, 0], leg: [0, 0, 90] };
const FRONT: Limbs = {
  trunk: 180,
  arm: [14, 8],
  farArm: [-14, -8],
  leg: [6, 3, 60],
  farLeg: [-6, -3, -60],
};
const SITTING: Limbs = { trunk: 180, arm: [15, 40], leg: [90, 0, 90] };
const SUPINE: Limbs = { trunk: -90, arm: [90, 90], leg: [90, 90, 180] };
const HOOKED: Limbs = { ...SUPINE, leg: [140, 30, 90] };
const PRONE: Limbs = { trunk: -90, arm: [-80, -110], leg: [90, 90, 30] };
const ON_SIDE: Limbs = { trunk: -90, arm: [-60, -110], leg: [90, 90, 110] };
const BENT: Limbs = { trunk: 115, arm: [0, 0], leg: [-8, -4, 90] };
const ALL_FOURS: Limbs = { trunk: 95, arm: [0, 0], leg: [0, -90, -90] };
const PUSH_UP: Limbs = { trunk: 108, arm: [0, 0], leg: [-72, -72, 0] };

type Drawn = Partial<Limbs>;
type Around = Partial<Pick<Figure, 'held' | 'props' | 'load' | 'band'>>;
/** A pose it begins from, and what is otherwise at the start, and at the end. */
type Pose = { base: Limbs; start: Drawn; end: Drawn; around: Around };

const figure = (base: Limbs, start: Drawn, end: Drawn, around: Around = {}): Pose => ({
  base,
  start,
  end,
  around,
});

const SEATED = { held: 'hip', props: ['seat'] } as const;
const IN_BED = { held: 'hip', props: ['bed'] } as const;

/** Squats and what is like them: down to where the thigh points. */
const squat = (thigh: number, trunk: number, around: Around = {}) =>
  figure(STANDING, {}, { trunk, arm: [60, 80], leg: [thigh, thigh / -3, 90] }, around);

const POSES: Record<StandardExerciseId, Pose> = {
  // The knee and the thigh.
  'knee-extension': figure(
    SITTING,
    { leg: [90, 0, 90] },
    { leg: [90, 85, 150] },
    { ...SEATED, load: 'ankle' },
  ),
  'straight-leg-raise': figure(
    HOOKED,
    { leg: [90, 90, 180] },
    { leg: [130, 130, 210] },
    { ...IN_BED, load: 'ankle' },
  ),
  'heel-slide': figure(SUPINE, { leg: [98, 82, 120] }, { leg: [140, 25, 90] }, IN_BED),
  'short-arc-unloaded': figure(
    SUPINE,
    { leg: [115, 55, 140] },
    { leg: [115, 112, 190] },
    { held: 'hip', props: ['bed', 'roll'] },
  ),
  'short-arc-extension': figure(
    SUPINE,
    { leg: [115, 55, 140] },
    { leg: [115, 112, 190] },
    { held: 'hip', props: ['bed', 'roll'], load: 'ankle' },
  ),
  'long-arc-extension': figure(
    SITTING,
    { leg: [90, 0, 90] },
    { leg: [90, 88, 160] },
    { ...SEATED, load: 'ankle' },
  ),
  'terminal-extension-band': figure(
    STANDING,
    { leg: [18, -22, 90] },
    { leg: [0, 0, 90] },
    { band: { at: 'knee', towards: 90 } },
  ),
  'terminal-extension-sitting': figure(
    SITTING,
    { leg: [92, 60, 140] },
    { leg: [92, 90, 165] },
    { ...SEATED, load: 'ankle' },
  ),
  'quad-set': figure(SUPINE, { leg: [100, 80, 150] }, { leg: [90, 90, 185] }, IN_BED),
  'hamstring-set': figure(SUPINE, { leg: [115, 60, 160] }, { leg: [112, 62, 130] }, IN_BED),
  'leg-curl-lying': figure(PRONE, {}, { leg: [90, 175, 90] }, { held: 'hip', props: ['bed'], load: 'ankle' }),
  'leg-curl-seated': figure(
    SITTING,
    { leg: [90, 80, 150] },
    { leg: [90, -10, 60] },
    { ...SEATED, load: 'ankle' },
  ),
  'leg-curl-standing': figure(STANDING, {}, { leg: [0, -95, -10] }, { held: 'hip', load: 'ankle' }),

  // Presses, squats and hinges.
  'leg-press': figure(
    SITTING,
    { trunk: -150, leg: [150, 40, 120] },
    { leg: [105, 95, 160] },
    { held: 'hip', props: ['seat'], load: 'toe' },
  ),
  'leg-press-single': figure(
    SITTING,
    { trunk: -150, leg: [150, 40, 120], farLeg: [80, 5, 90] },
    { leg: [105, 95, 160] },
    { held: 'hip', props: ['seat'], load: 'toe' },
  ),
  'mini-squat-supported': figure(
    STANDING,
    { arm: [40, 70] },
    { trunk: 168, arm: [50, 75], leg: [32, -18, 90] },
    { props: ['table'] },
  ),
  'bodyweight-box-squat': squat(88, 150, { props: ['seat'] }),
  'box-squat-high': squat(66, 156, { props: ['seat'] }),
  'air-squat': squat(92, 148),
  'bar-squat': figure(
    STANDING,
    { arm: [-40, 160] },
    { trunk: 150, arm: [-60, 150], leg: [86, -28, 90] },
    { load: 'neck' },
  ),
  'goblet-squat': figure(
    STANDING,
    { arm: [25, 150] },
    { trunk: 158, arm: [30, 150], leg: [90, -28, 90] },
    { load: 'wrist' },
  ),
  'split-squat': figure(
    STANDING,
    { leg: [28, -4, 90], farLeg: [-28, -40, 30] },
    { leg: [78, -6, 90], farLeg: [-4, -88, 20] },
    { load: 'wrist' },
  ),
  'reverse-lunge': figure(STANDING, {}, { leg: [78, -6, 90], farLeg: [-4, -88, 20] }),
  'walking-lunge': figure(
    STANDING,
    { leg: [22, 0, 90], farLeg: [-22, -30, 40] },
    { leg: [80, -4, 90], farLeg: [-8, -86, 20] },
  ),
  'single-leg-touchdown': figure(
    STANDING,
    { farLeg: [20, 5, 90] },
    { trunk: 156, arm: [50, 70], leg: [48, -26, 90], farLeg: [62, 20, 130] },
  ),
  'sit-to-stand': figure(
    SITTING,
    { trunk: 160, arm: [40, 70], leg: [90, -8, 90] },
    { trunk: 180, arm: [0, 0], leg: [0, 0, 90] },
    { held: 'ankle', props: ['seat'] },
  ),
  'wall-sit': figure(STANDING, { leg: [10, 0, 90] }, { leg: [78, 0, 90] }, { props: ['wall'] }),
  'hip-hinge': figure(STANDING, {}, { trunk: 112, arm: [10, 10], leg: [12, -14, 90] }),
  'romanian-deadlift': figure(
    STANDING,
    {},
    { trunk: 108, arm: [0, 0], leg: [14, -14, 90] },
    { load: 'wrist' },
  ),

  // Steps, stairs and walks.
  'step-up-10': figure(
    STANDING,
    { leg: [35, -5, 90] },
    { leg: [0, 0, 90], farLeg: [15, -30, 60] },
    { props: ['step'] },
  ),
  'step-up-15': figure(
    STANDING,
    { leg: [48, -4, 90] },
    { leg: [0, 0, 90], farLeg: [15, -30, 60] },
    { props: ['step'] },
  ),
  'step-up-20': figure(
    STANDING,
    { leg: [62, -4, 90] },
    { leg: [0, 0, 90], farLeg: [15, -30, 60] },
    { props: ['step'] },
  ),
  'step-up-side': figure(
    FRONT,
    { leg: [30, -14, 60], farLeg: [-4, -2, -60] },
    { leg: [4, 2, 60], farLeg: [-14, -4, -60] },
    { props: ['step'] },
  ),
  'step-down-10': figure(
    STANDING,
    { leg: [0, 0, 90], farLeg: [12, 4, 90] },
    { trunk: 174, leg: [26, -20, 90], farLeg: [30, 2, 120] },
    { props: ['step'] },
  ),
  'step-down-15': figure(
    STANDING,
    { leg: [0, 0, 90], farLeg: [12, 4, 90] },
    { trunk: 170, leg: [36, -24, 90], farLeg: [36, 2, 120] },
    { props: ['step'] },
  ),
  'step-down-20': figure(
    STANDING,
    { leg: [0, 0, 90], farLeg: [12, 4, 90] },
    { trunk: 166, leg: [46, -28, 90], farLeg: [42, 2, 120] },
    { props: ['step'] },
  ),
  'stairs-up': figure(
    STANDING,
    { leg: [56, -4, 90], farLeg: [-8, -14, 60] },
    { leg: [4, 0, 90], farLeg: [40, -50, 60] },
    { props: ['step'] },
  ),
  'stairs-down': figure(
    STANDING,
    { farLeg: [24, 8, 90] },
    { trunk: 172, leg: [38, -26, 90], farLeg: [30, 4, 100] },
    { props: ['step'] },
  ),
  walking: figure(
    STANDING,
    { arm: [-20, 0], farArm: [20, 30], leg: [22, 6, 100], farLeg: [-22, -32, 50] },
    { arm: [20, 30], farArm: [-20, 0], leg: [-22, -32, 50], farLeg: [22, 6, 100] },
    { held: 'hip' },
  ),
  'heel-toe-walk': figure(
    STANDING,
    { leg: [10, 4, 90], farLeg: [-8, -8, 90], arm: [30, 20] },
    { leg: [-8, -8, 90], farLeg: [10, 4, 90] },
    { held: 'hip', props: ['wall'] },
  ),
  'treadmill-incline': figure(
    STANDING,
    { trunk: 172, arm: [-20, 10], farArm: [20, 40], leg: [32, 0, 100], farLeg: [-18, -34, 50] },
    { arm: [20, 40], farArm: [-20, 10], leg: [-18, -34, 50], farLeg: [32, 0, 100] },
    { held: 'hip', props: ['step'] },
  ),
  'sled-push': figure(
    STANDING,
    { trunk: 128, arm: [80, 85], farArm: [80, 85], leg: [50, -30, 70], farLeg: [-30, -40, 50] },
    { leg: [-30, -40, 50], farLeg: [50, -30, 70] },
    { held: 'hip', props: ['wall'] },
  ),
  'pool-walk': figure(
    STANDING,
    { arm: [60, 80], farArm: [-30, -20], leg: [40, -10, 90] },
    { arm: [-30, -20], farArm: [60, 80], leg: [-14, -24, 60], farLeg: [40, -10, 90] },
    { held: 'hip' },
  ),
  stepper: figure(
    STANDING,
    { arm: [40, 70], leg: [50, -10, 90] },
    { arm: [40, 70], leg: [0, 0, 90], farLeg: [50, -10, 90] },
    { held: 'hip', props: ['step'] },
  ),
  cycling: figure(
    SITTING,
    { trunk: 150, arm: [60, 70], farArm: [60, 70], leg: [80, -20, 70], farLeg: [40, -10, 80] },
    { leg: [30, 8, 80], farLeg: [82, -24, 70] },
    { held: 'hip', props: ['wheel'] },
  ),
  rowing: figure(
    SITTING,
    { trunk: 155, arm: [80, 85], farArm: [80, 85], leg: [140, 20, 100], farLeg: [140, 20, 100] },
    { trunk: -170, arm: [-20, 90], farArm: [-20, 90], leg: [92, 88, 150], farLeg: [92, 88, 150] },
    { held: 'ankle', props: ['seat'] },
  ),

  // The hip.
  bridge: figure(
    HOOKED,
    {},
    { trunk: -62, leg: [112, 4, 90], farLeg: [112, 4, 90] },
    { held: 'neck', props: ['bed'] },
  ),
  'bridge-single': figure(
    HOOKED,
    { farLeg: [110, 110, 190] },
    { trunk: -62, leg: [112, 4, 90], farLeg: [115, 115, 190] },
    { held: 'neck', props: ['bed'] },
  ),
  'bridge-shoulders': figure(
    HOOKED,
    { trunk: -130, leg: [95, 0, 90], farLeg: [95, 0, 90] },
    { trunk: -92, leg: [88, 0, 90], farLeg: [88, 0, 90] },
    { held: 'neck', props: ['bench'] },
  ),
  'hip-thrust': figure(
    HOOKED,
    { trunk: -130, leg: [95, 0, 90], farLeg: [95, 0, 90] },
    { trunk: -92, leg: [88, 0, 90], farLeg: [88, 0, 90] },
    { held: 'neck', props: ['bench'], load: 'hip' },
  ),
  'buttock-set': figure(SUPINE, {}, { trunk: -88, leg: [92, 90, 185], farLeg: [92, 90, 185] }, IN_BED),
  clam: figure(ON_SIDE, { leg: [60, 140, 110], farLeg: [60, 140, 110] }, { leg: [105, 110, 110] }, IN_BED),
  'donkey-kick': figure(ALL_FOURS, {}, { leg: [-95, 180, 200] }, { held: 'wrist', props: ['bed'] }),
  'hip-abduction-lying': figure(ON_SIDE, {}, { leg: [122, 122, 140] }, { ...IN_BED, load: 'ankle' }),
  'hip-adduction-lying': figure(
    ON_SIDE,
    { leg: [90, 90, 110], farLeg: [120, 20, 60] },
    { leg: [104, 104, 120] },
    { ...IN_BED, load: 'ankle' },
  ),
  'hip-abduction-standing': figure(
    FRONT,
    {},
    { leg: [36, 36, 80] },
    { held: 'hip', band: { at: 'ankle', towards: -90 } },
  ),
  'hip-abduction-seated': figure(
    FRONT,
    { leg: [25, 0, 60], farLeg: [-25, 0, -60] },
    { leg: [60, 5, 60], farLeg: [-60, -5, -60] },
    SEATED,
  ),
  'hip-adduction-seated': figure(
    FRONT,
    { leg: [60, 5, 60], farLeg: [-60, -5, -60] },
    { leg: [25, 0, 60], farLeg: [-25, 0, -60] },
    SEATED,
  ),
  'hip-extension-standing': figure(
    STANDING,
    {},
    { trunk: 176, leg: [-30, -30, 60] },
    { held: 'hip', band: { at: 'ankle', towards: 90 } },
  ),
  'hip-flexion-standing': figure(STANDING, {}, { leg: [85, 0, 90] }, { held: 'hip', load: 'ankle' }),
  'seated-march': figure(SITTING, {}, { leg: [115, 5, 90] }, SEATED),
  'side-steps': figure(
    FRONT,
    { leg: [10, 8, 60], farLeg: [-10, -8, -60] },
    { leg: [32, 20, 60], farLeg: [-12, -8, -60] },
    { held: 'hip', band: { at: 'knee', towards: -90 } },
  ),

  // Calf and foot.
  'calf-raise-seated': figure(
    SITTING,
    {},
    { leg: [97, 0, 40] },
    { held: 'toe', props: ['seat'], load: 'knee' },
  ),
  'calf-raise-standing': figure(STANDING, {}, { leg: [0, 0, 40], farLeg: [0, 0, 40] }, { held: 'toe' }),
  'ankle-dorsiflexion-band': figure(
    SITTING,
    { trunk: -160, leg: [90, 90, 120] },
    { leg: [90, 90, 195] },
    { ...SEATED, band: { at: 'toe', towards: 90 } },
  ),
  'ankle-pump': figure(SUPINE, { leg: [90, 90, 120] }, { leg: [90, 90, 200] }, IN_BED),
  'passive-cuff-leg': figure(SUPINE, {}, {}, IN_BED),

  // The elbow.
  'elbow-flexion': figure(STANDING, {}, { arm: [0, 140] }, { load: 'wrist' }),
  'hammer-curl': figure(STANDING, {}, { arm: [0, 140] }, { load: 'wrist' }),
  'band-curl': figure(STANDING, {}, { arm: [0, 140] }, { band: { at: 'wrist', towards: 0 } }),
  'bar-curl': figure(STANDING, {}, { arm: [0, 140], farArm: [0, 140] }, { load: 'wrist' }),
  'reverse-curl': figure(STANDING, {}, { arm: [0, 125] }, { load: 'wrist' }),
  'seated-curl': figure(
    SITTING,
    { trunk: 145, arm: [20, 15] },
    { arm: [20, 150] },
    { ...SEATED, load: 'wrist' },
  ),
  'biceps-isometric': figure(
    SITTING,
    { arm: [0, 90] },
    { arm: [0, 90] },
    { held: 'hip', props: ['seat', 'table'] },
  ),
  'elbow-extension': figure(
    STANDING,
    { arm: [0, 110] },
    { arm: [0, 8] },
    { band: { at: 'wrist', towards: 180 } },
  ),
  'cable-pressdown': figure(
    STANDING,
    { arm: [5, 110], farArm: [5, 110] },
    { arm: [5, 8], farArm: [5, 8] },
    { band: { at: 'wrist', towards: 180 } },
  ),
  'overhead-extension': figure(STANDING, { arm: [175, -60] }, { arm: [175, 178] }, { load: 'wrist' }),
  kickback: figure(BENT, { arm: [-60, 10] }, { arm: [-60, -62] }, { load: 'wrist' }),

  // Presses and pushes.
  'bench-press': figure(
    HOOKED,
    { arm: [20, 180], farArm: [20, 180] },
    { arm: [180, 180], farArm: [180, 180] },
    { held: 'hip', props: ['bench'], load: 'wrist' },
  ),
  'dumbbell-press': figure(
    HOOKED,
    { arm: [20, 180], farArm: [20, 180] },
    { arm: [178, 178], farArm: [178, 178] },
    { held: 'hip', props: ['bench'], load: 'wrist' },
  ),
  'incline-press': figure(
    SITTING,
    { trunk: -140, arm: [10, 170], farArm: [10, 170] },
    { arm: [165, 172], farArm: [165, 172] },
    { ...SEATED, load: 'wrist' },
  ),
  'chest-press-machine': figure(
    SITTING,
    { arm: [-40, 90], farArm: [-40, 90] },
    { arm: [85, 90], farArm: [85, 90] },
    { ...SEATED, load: 'wrist' },
  ),
  'band-fly': figure(
    FRONT,
    { arm: [88, 95], farArm: [-88, -95] },
    { arm: [40, -60], farArm: [-40, 60] },
    { band: { at: 'wrist', towards: 90 } },
  ),
  'wall-push-up': figure(
    STANDING,
    { trunk: 165, arm: [80, 85], farArm: [80, 85], leg: [-14, -14, 80], farLeg: [-14, -14, 80] },
    { trunk: 155, arm: [20, 130], farArm: [20, 130], leg: [-24, -24, 70], farLeg: [-24, -24, 70] },
    { props: ['wall'] },
  ),
  'incline-push-up': figure(
    PUSH_UP,
    { trunk: 130, leg: [-50, -50, 20], arm: [30, 30], farArm: [30, 30] },
    { trunk: 118, leg: [-62, -62, 20], arm: [-40, 60], farArm: [-40, 60] },
    { held: 'wrist', props: ['bench'] },
  ),
  'knee-push-up': figure(
    PUSH_UP,
    { leg: [-60, -110, -90], farLeg: [-60, -110, -90], trunk: 115 },
    { leg: [-76, -110, -90], farLeg: [-76, -110, -90], trunk: 98, arm: [-70, 40], farArm: [-70, 40] },
    { held: 'wrist' },
  ),
  'shoulder-press': figure(SITTING, { arm: [20, 170] }, { arm: [178, 178] }, { ...SEATED, load: 'wrist' }),

  // Rows and pulls.
  'seated-row': figure(
    SITTING,
    { arm: [75, 85], farArm: [75, 85] },
    { arm: [-35, 80], farArm: [-35, 80] },
    { ...SEATED, band: { at: 'wrist', towards: 90 } },
  ),
  'band-row': figure(STANDING, { arm: [75, 85] }, { arm: [-35, 80] }, { band: { at: 'wrist', towards: 90 } }),
  'lat-pulldown': figure(
    SITTING,
    { arm: [170, 175], farArm: [170, 175] },
    { arm: [30, 165], farArm: [30, 165] },
    { ...SEATED, band: { at: 'wrist', towards: 180 } },
  ),
  'dumbbell-row': figure(
    BENT,
    { farArm: [30, 30] },
    { arm: [-70, 10], farArm: [30, 30] },
    { props: ['bench'], load: 'wrist' },
  ),
  'band-pull-apart': figure(
    FRONT,
    { arm: [40, 0], farArm: [-40, 0] },
    { arm: [92, 92], farArm: [-92, -92] },
    { band: { at: 'wrist', towards: -90 } },
  ),
  'blade-squeeze': figure(
    SITTING,
    { arm: [10, 40], farArm: [10, 40] },
    { arm: [-15, 30], farArm: [-15, 30] },
    SEATED,
  ),

  // The shoulder.
  'lateral-raise': figure(FRONT, {}, { arm: [88, 88], farArm: [-88, -88] }, { load: 'wrist' }),
  'front-raise': figure(STANDING, {}, { arm: [88, 88] }, { load: 'wrist' }),
  'thumb-up-raise': figure(FRONT, {}, { arm: [80, 84], farArm: [-80, -84] }, { load: 'wrist' }),
  'thumb-down-raise': figure(FRONT, {}, { arm: [64, 66], farArm: [-64, -66] }, { load: 'wrist' }),
  'rear-shoulder-lift': figure(BENT, {}, { arm: [-62, -68] }, { load: 'wrist' }),
  'shoulder-extension': figure(
    STANDING,
    { arm: [50, 52] },
    { arm: [-28, -28] },
    { band: { at: 'wrist', towards: 90 } },
  ),
  'external-rotation-band': figure(
    FRONT,
    { arm: [6, -70] },
    { arm: [6, 80] },
    { band: { at: 'wrist', towards: -90 } },
  ),
  'internal-rotation-band': figure(
    FRONT,
    { arm: [6, 80] },
    { arm: [6, -70] },
    { band: { at: 'wrist', towards: 90 } },
  ),
  'external-rotation-side': figure(
    ON_SIDE,
    { arm: [80, 0], farArm: [-90, -120] },
    { arm: [80, 160], farArm: [-90, -120] },
    { ...IN_BED, load: 'wrist' },
  ),
  'serratus-reach': figure(
    HOOKED,
    { arm: [178, 178] },
    { arm: [180, 180], trunk: -88 },
    { held: 'hip', props: ['bed'], load: 'wrist' },
  ),
  'table-slide': figure(
    SITTING,
    { arm: [30, 80] },
    { trunk: 160, arm: [75, 88] },
    { held: 'hip', props: ['seat', 'table'] },
  ),
  pendulum: figure(
    BENT,
    { arm: [-16, -16], farArm: [40, 40] },
    { arm: [18, 18], farArm: [40, 40] },
    { props: ['table'] },
  ),
  'passive-cuff-arm': figure(SUPINE, {}, {}, IN_BED),

  // Forearm, wrist and hand.
  'wrist-extension': figure(
    SITTING,
    { arm: [10, 80] },
    { arm: [10, 88] },
    { held: 'hip', props: ['seat', 'table'], load: 'wrist' },
  ),
  'wrist-flexion': figure(
    SITTING,
    { arm: [10, 96] },
    { arm: [10, 88] },
    { held: 'hip', props: ['seat', 'table'], load: 'wrist' },
  ),
  'wrist-deviation': figure(
    SITTING,
    { arm: [8, 82] },
    { arm: [8, 94] },
    { held: 'hip', props: ['seat', 'table'], load: 'wrist' },
  ),
  'pronation-supination': figure(
    SITTING,
    { arm: [0, 90] },
    { arm: [0, 90] },
    { held: 'hip', props: ['seat', 'table'], load: 'wrist' },
  ),
  'wrist-hold': figure(
    SITTING,
    { arm: [10, 88], farArm: [20, 95] },
    {},
    { held: 'hip', props: ['seat', 'table'] },
  ),
  'grip-squeeze': figure(SITTING, { arm: [0, 90] }, { arm: [0, 90] }, { ...SEATED, load: 'wrist' }),
  'finger-spread': figure(
    SITTING,
    { arm: [0, 90] },
    { arm: [0, 92] },
    { held: 'hip', props: ['seat', 'table'] },
  ),
  'arm-ergometer': figure(
    SITTING,
    { arm: [60, 90], farArm: [30, 80] },
    { arm: [30, 80], farArm: [60, 90] },
    { held: 'hip', props: ['seat', 'wheel'] },
  ),
};

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
