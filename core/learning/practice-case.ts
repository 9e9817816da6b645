import { type Message, msg } from '../message/message';
import type { PulseMethod } from '../occlusion-pressure/methods';
import { LIMBS, type Limb, type LimbKind, limbKind, POSITIONS, type Position } from '../quantity/limb';
import { makeLimb, type SimulatedLimb } from '../simulation/limb';
import { oneOf, type Random, seededRandom } from '../simulation/random';

export const TRAPS = [
  'volume-down',
  'loose-cuff',
  'wrong-size',
  'talking',
  'bent-limb',
  'gauge-not-at-zero',
  'pump-misreads',
] as const;
export type Trap = (typeof TRAPS)[number];

const BY_PROBE: readonly PulseMethod[] = ['doppler', 'automatic-pump'];

/**
 * What may be wrong with a set-up, what corrects it, and where it can be (rules LOP-1 and FIT-2…4). `addsMmHg` is pressure the cuff
 * needs more; `share` what its need is multiplied by.
 */
export const TRAP: Record<
  Trap,
  {
    label: Message;
    remedy: Message;
    methods?: readonly PulseMethod[];
    limbs?: LimbKind;
    addsMmHg?: number;
    share?: number;
  }
> = {
  'volume-down': { label: msg('Probe volume is down'), remedy: msg('Turn it up'), methods: BY_PROBE },
  // Pressure is spent on closing the gap before it presses on the limb.
  'loose-cuff': { label: msg('Cuff is loose'), remedy: msg('Snug it: one finger under'), addsMmHg: 18 },
  'wrong-size': {
    label: msg('Cuff is the wrong size'),
    remedy: msg('Change to the one that fits'),
    share: 1.12,
  },
  talking: { label: msg('The person is talking'), remedy: msg('Ask for quiet'), methods: BY_PROBE },
  'bent-limb': {
    label: msg('The knee is bent'),
    remedy: msg('Straighten and rest it'),
    limbs: 'leg',
    addsMmHg: 10,
  },
  'gauge-not-at-zero': {
    label: msg('Gauge is not at zero'),
    remedy: msg('Zero it with the cuff open'),
    methods: ['doppler', 'palpation', 'oximeter'],
  },
  'pump-misreads': {
    label: msg('The pump misreads'),
    remedy: msg('Go by the probe, and have the pump seen to'),
    methods: ['automatic-pump'],
  },
};

/** What a gauge that is off its zero shows too much, in mmHg. */
export const OFF_ZERO_MMHG = 12;

/** A simulated person to practise on. The true pressure stays hidden until the attempt is over. */
export type PracticeCase = {
  seed: number;
  method: PulseMethod;
  limb: Limb;
  position: Position;
  girthCm: number;
  widthCm: number;
  /** What the cuff that is on says it is made for, in cm: outside the girth when it is the wrong size. */
  cuffRangeCm: { low: number; high: number };
  simulated: SimulatedLimb;
  traps: Trap[];
  /** By how much the pump's own measurement is off while it misreads, in mmHg; never within 15 of the truth. */
  misreadMmHg: number;
};

/** What a learner asks for; an oximeter is for arms only (rule LOP-1). */
export type PracticeWish = { method: PulseMethod; limbs: LimbKind | 'any' };

const GIRTH = { arm: { low: 26, high: 38 }, leg: { low: 48, high: 66 } };
const WIDTH = { arm: 8.5, leg: 11.5 };

/** Which traps there can be with this method on this limb. */
export const trapsFor = ({ method, limb }: Pick<PracticeCase, 'method' | 'limb'>): Trap[] =>
  TRAPS.filter((trap) => {
    const { methods, limbs } = TRAP[trap];
    return (!methods || methods.includes(method)) && (!limbs || limbs === limbKind(limb));
  });

/** A case made from a seed and a wish: whose limb, how it lies, what is wrong with the set-up (none to two traps). */
export function makePracticeCase(seed: number, { method, limbs }: PracticeWish): PracticeCase {
  const random = seededRandom(seed);
  const wanted = method === 'oximeter' ? 'arm' : limbs;
  const limb = oneOf(
    random,
    LIMBS.filter((one) => wanted === 'any' || limbKind(one) === wanted),
  );
  const kind = limbKind(limb);
  const position = oneOf(random, POSITIONS);
  const girthCm = Math.round(GIRTH[kind].low + random() * (GIRTH[kind].high - GIRTH[kind].low));
  const widthCm = WIDTH[kind];
  const traps = shuffled(random, trapsFor({ method, limb }))
    .filter(() => random() < 0.3)
    .slice(0, 2);
  const simulated = makeLimb({
    limb,
    position,
    girthCm,
    widthCm,
    systolicMmHg: Math.round(108 + 34 * random()),
    seed: seed + 1,
  });
  const misreadMmHg = Math.round((15 + 15 * random()) * (random() < 0.5 ? -1 : 1));
  const wrong = traps.includes('wrong-size');
  return {
    seed,
    method,
    limb,
    position,
    girthCm,
    widthCm,
    cuffRangeCm: wrong ? { low: girthCm - 16, high: girthCm - 2 } : { low: girthCm - 6, high: girthCm + 8 },
    simulated,
    traps,
    misreadMmHg,
  };
}

/** The limb as the cuff finds it while some traps are still there: what they add to the pressure that stops flow. */
export function limbUnderTraps({ simulated }: PracticeCase, standing: readonly Trap[]): SimulatedLimb {
  const share = standing.reduce((product, trap) => product * (TRAP[trap].share ?? 1), 1);
  const addedMmHg = standing.reduce((sum, trap) => sum + (TRAP[trap].addsMmHg ?? 0), 0);
  return { ...simulated, occlusionMmHg: simulated.occlusionMmHg * share + addedMmHg };
}

/** In an order drawn by lot (Fisher–Yates). */
function shuffled<T>(random: Random, values: readonly T[]): T[] {
  const left = [...values];
  return values.map(() => left.splice(Math.floor(random() * left.length), 1)[0] as T);
}
