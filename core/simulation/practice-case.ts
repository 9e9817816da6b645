import { type Limb, limbKind, POSITIONS, type Position } from '../quantity/limb';
import { makeLimb, type SimulatedLimb } from './limb';
import type { Random } from './random';
import { seededRandom } from './random';

export const TRAPS = ['volume-down', 'loose-cuff', 'wrong-size', 'talking'] as const;
export type Trap = (typeof TRAPS)[number];

export const TRAP_WORDS: Record<Trap, { label: string; mend: string }> = {
  'volume-down': { label: 'Probe volume is down', mend: 'Turn it up' },
  'loose-cuff': { label: 'Cuff is loose', mend: 'Snug it: one finger under' },
  'wrong-size': { label: 'Cuff is the wrong size', mend: 'Change to the one that fits' },
  talking: { label: 'The person is talking', mend: 'Ask for quiet' },
};

/** A simulated person to practise on. The true pressure stays hidden until the attempt is over. */
export type PracticeCase = {
  seed: number;
  limb: Limb;
  position: Position;
  girthCm: number;
  widthCm: number;
  /** What the cuff that is on says it is made for, in cm: outside the girth when it is the wrong size. */
  cuffRangeCm: { low: number; high: number };
  simulated: SimulatedLimb;
  traps: Trap[];
};

const GIRTH = { arm: { low: 26, high: 38 }, leg: { low: 48, high: 66 } };
const WIDTH = { arm: 8.5, leg: 11.5 };
/** A loose cuff spends pressure on closing the gap before it presses on the limb. */
const LOOSE_MMHG = 18;
const WRONG_SIZE_SHARE = 1.12;

/** A case made from a seed: whose limb, how it lies, what is wrong with the set-up (none to two traps). */
export function makePracticeCase(seed: number): PracticeCase {
  const random = seededRandom(seed);
  const limb = pick(random, ['left-arm', 'right-arm', 'left-thigh', 'right-thigh'] as const);
  const kind = limbKind(limb);
  const position = pick(random, POSITIONS);
  const girthCm = Math.round(GIRTH[kind].low + random() * (GIRTH[kind].high - GIRTH[kind].low));
  const widthCm = WIDTH[kind];
  const traps = TRAPS.filter(() => random() < 0.3).slice(0, 2);
  const simulated = makeLimb({
    limb,
    position,
    girthCm,
    widthCm,
    systolicMmHg: Math.round(108 + 34 * random()),
    seed: seed + 1,
  });
  const wrong = traps.includes('wrong-size');
  return {
    seed,
    limb,
    position,
    girthCm,
    widthCm,
    cuffRangeCm: wrong ? { low: girthCm - 16, high: girthCm - 2 } : { low: girthCm - 6, high: girthCm + 8 },
    simulated,
    traps,
  };
}

/** The limb as the cuff finds it while some traps are still there: what they add to the pressure that stops flow. */
export function limbUnderTraps({ simulated }: PracticeCase, standing: readonly Trap[]): SimulatedLimb {
  const looseMmHg = standing.includes('loose-cuff') ? LOOSE_MMHG : 0;
  const share = standing.includes('wrong-size') ? WRONG_SIZE_SHARE : 1;
  return { ...simulated, occlusionMmHg: simulated.occlusionMmHg * share + looseMmHg };
}

const pick = <T>(random: Random, values: readonly T[]): T =>
  values[Math.floor(random() * values.length)] as T;
