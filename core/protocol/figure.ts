/**
 * Where the parts of a body point, in degrees from straight down, towards the side it faces (the right): 0 down, 90 ahead,
 * 180 up, −90 behind.
 */
export type Limbs = {
  /** From the hip to the neck. */
  trunk: number;
  /** Upper arm, forearm. */
  arm: readonly [number, number];
  /** Thigh, shank, foot. */
  leg: readonly [number, number, number];
  /** The other side; as this one where it is left out. */
  farArm?: readonly [number, number];
  farLeg?: readonly [number, number, number];
};

export type Joint = 'hip' | 'neck' | 'head' | 'elbow' | 'wrist' | 'knee' | 'ankle' | 'toe';
type FarJoint = 'farElbow' | 'farWrist' | 'farKnee' | 'farAnkle' | 'farToe';
export type Point = { x: number; y: number };
export type Joints = Record<Joint | FarJoint, Point>;

/** Lengths of the parts, in the units of a drawing: a body of about a hundred. */
const LENGTHS = { trunk: 30, head: 9, upperArm: 16, forearm: 15, thigh: 23, shank: 23, foot: 8 } as const;

const DEGREE = Math.PI / 180;
const from = ({ x, y }: Point, degrees: number, length: number): Point => ({
  x: x + length * Math.sin(degrees * DEGREE),
  y: y + length * Math.cos(degrees * DEGREE),
});

/**
 * Where the joints of a body are, in units of a drawing, with y downwards.
 * @param held the joint that stays where it is, at 0, 0, whatever moves: the foot of who squats, the hip of who sits
 * @example jointsOf(STANDING, 'ankle').hip //=> { x: 0, y: -46 }
 */
export function jointsOf({ trunk, arm, leg, farArm = arm, farLeg = leg }: Limbs, held: Joint): Joints {
  const hip = { x: 0, y: 0 };
  const neck = from(hip, trunk, LENGTHS.trunk);
  const chain = (start: Point, degrees: readonly number[], lengths: readonly number[]): Point[] => {
    let at = start;
    return degrees.map((part, place) => {
      at = from(at, part, lengths[place] ?? 0);
      return at;
    });
  };
  const ARM = [LENGTHS.upperArm, LENGTHS.forearm];
  const LEG = [LENGTHS.thigh, LENGTHS.shank, LENGTHS.foot];
  const [elbow = neck, wrist = neck] = chain(neck, arm, ARM);
  const [farElbow = neck, farWrist = neck] = chain(neck, farArm, ARM);
  const [knee = hip, ankle = hip, toe = hip] = chain(hip, leg, LEG);
  const [farKnee = hip, farAnkle = hip, farToe = hip] = chain(hip, farLeg, LEG);
  const head = from(neck, trunk, LENGTHS.head);
  const joints = {
    hip,
    neck,
    head,
    elbow,
    wrist,
    knee,
    ankle,
    toe,
    farElbow,
    farWrist,
    farKnee,
    farAnkle,
    farToe,
  };
  const { x, y } = joints[held];
  return Object.fromEntries(
    Object.entries(joints).map(([joint, point]) => [joint, { x: point.x - x, y: point.y - y }]),
  ) as Joints;
}
