import type { ArmExerciseId } from '../exercises';
import {
  BENT,
  FRONT,
  figure,
  HOOKED,
  IN_BED,
  ON_SIDE,
  type Pose,
  PUSH_UP,
  SEATED,
  SITTING,
  STANDING,
  SUPINE,
} from '../pose';

/** How exercises with a cuff on the upper arm look. */
export const ARM_POSES: Record<ArmExerciseId, Pose> = {
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
  'passive-range-arm': figure(SUPINE, {}, {}, IN_BED),

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
