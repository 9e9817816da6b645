import type { LegExerciseId } from '../exercises';
import {
  ALL_FOURS,
  type Around,
  FRONT,
  figure,
  HOOKED,
  IN_BED,
  ON_SIDE,
  type Pose,
  PRONE,
  SEATED,
  SITTING,
  STANDING,
  SUPINE,
} from '../pose';

/** Squats and what is like them: down to where the thigh points. */
const squat = (thigh: number, trunk: number, around: Around = {}) =>
  figure(STANDING, {}, { trunk, arm: [60, 80], leg: [thigh, thigh / -3, 90] }, around);

/** How exercises with a cuff on the upper leg look. */
export const LEG_POSES: Record<LegExerciseId, Pose> = {
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
  'front-squat': figure(
    STANDING,
    { arm: [60, 150] },
    { trunk: 165, arm: [60, 150], leg: [90, -28, 90] },
    { load: 'wrist' },
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
  'sit-to-stand-hands': figure(
    SITTING,
    { trunk: 165, arm: [20, 60], leg: [90, -8, 90] },
    { trunk: 180, arm: [5, 10], leg: [0, 0, 90] },
    { held: 'ankle', props: ['seat'] },
  ),
  'wall-sit': figure(STANDING, { leg: [10, 0, 90] }, { leg: [78, 0, 90] }, { props: ['wall'] }),
  'hip-hinge': figure(STANDING, {}, { trunk: 112, arm: [10, 10], leg: [12, -14, 90] }),
  deadlift: figure(
    STANDING,
    { trunk: 120, arm: [0, 0], leg: [55, -30, 90] },
    { trunk: 180, arm: [0, 0], leg: [0, 0, 90] },
    { load: 'wrist' },
  ),
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
  'passive-range-leg': figure(SUPINE, {}, {}, IN_BED),
};
