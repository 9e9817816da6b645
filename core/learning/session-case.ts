import { MODEL, type Trainee } from '../forecast/fatigue-model';
import { type Message, msg } from '../message/message';
import { LIMBS, type Limb, type LimbKind, limbKind } from '../quantity/limb';
import { roundDownToDivision } from '../quantity/rounding';
import type { SignId } from '../session/signs';
import { normal, oneOf, seededRandom } from '../simulation/random';

/** How a sign comes to the one who watches: seen, or said by the trainee, at once when asked and after a while unasked. */
export type Shows = { by: 'seen' | 'said'; words: Record<LimbKind, Message> };

const both = (words: Message): Record<LimbKind, Message> => ({ arm: words, leg: words });

/** The signs of rule RUN-3 that a simulated session plays: what is usual, and what ends it. */
export const PLAYED_SIGNS = {
  tightness: { by: 'said', words: both(msg('“It is tight, but I can bear it.”')) },
  burn: { by: 'said', words: both(msg('“It burns in the muscle.”')) },
  redness: { by: 'seen', words: both(msg('The skin below the cuff is red.')) },
  'bulging-veins': { by: 'seen', words: both(msg('The veins stand out.')) },
  'numb-or-tingling': {
    by: 'said',
    words: { arm: msg('“My fingers have gone to sleep.”'), leg: msg('“My toes have gone to sleep.”') },
  },
  'pale-blue-or-cold': {
    by: 'seen',
    words: {
      arm: msg('The hand has turned pale and bluish.'),
      leg: msg('The foot has turned pale and bluish.'),
    },
  },
  'sharp-pain': { by: 'said', words: both(msg('“Something stings under the cuff.”')) },
  dizzy: { by: 'said', words: both(msg('“I am a bit light in the head.”')) },
} satisfies Partial<Record<SignId, Shows>>;
export type PlayedSign = keyof typeof PLAYED_SIGNS;

const USUAL = ['tightness', 'burn', 'redness', 'bulging-veins'] as const;
const ENDING = ['numb-or-tingling', 'pale-blue-or-cold', 'sharp-pain', 'dizzy'] as const;

/** A simulated session to run: what is planned, what a clinician has limited it to, and who will do it. */
export type SessionCase = {
  seed: number;
  limb: Limb;
  occlusionMmHg: number;
  targetMmHg: number;
  /** The most a clinician has cleared this person for; in half of the cases it lies under the target. */
  capMmHg: number;
  longestMs: number;
  plannedReps: readonly number[];
  repMs: number;
  restMs: number;
  loadShare: number;
  trainee: Trainee;
  /** What is usual comes first; what ends the session comes in three of four cases. Times in ms under the cuff. */
  signs: { id: PlayedSign; fromMs: number }[];
};

const SHARE = { arm: 0.5, leg: 0.7 };
const LONGEST_MS = 480_000;

/** A session made from a seed. */
export function makeSessionCase(seed: number): SessionCase {
  const random = seededRandom(seed);
  const limb = oneOf(random, LIMBS);
  const kind = limbKind(limb);
  const occlusionMmHg = Math.round(kind === 'arm' ? 125 + 40 * random() : 170 + 60 * random());
  const targetMmHg = roundDownToDivision(SHARE[kind] * occlusionMmHg, 2);
  const capped = random() < 0.5;
  const usual = { id: oneOf(random, USUAL), fromMs: 15_000 + 20_000 * random() };
  const ending = { id: oneOf(random, ENDING), fromMs: 60_000 + 140_000 * random() };
  const goesWell = random() < 0.25;
  const varied = (spread: number) => Math.exp(Math.max(-1.2, Math.min(1.2, normal(random))) * spread);
  return {
    seed,
    limb,
    occlusionMmHg,
    targetMmHg,
    capMmHg: targetMmHg + (capped ? -20 : 20),
    longestMs: LONGEST_MS,
    plannedReps: [30, 15, 15, 15],
    repMs: MODEL.usualRepMs,
    restMs: 30_000,
    loadShare: 0.3,
    trainee: {
      endurance: varied(MODEL.personSpread.endurance),
      recovery: varied(MODEL.personSpread.recovery),
    },
    signs: goesWell ? [usual] : [usual, ending],
  };
}

/** The pressure to hold: the plan's, never over what was cleared. */
export const heldMmHg = ({ targetMmHg, capMmHg }: SessionCase): number => Math.min(targetMmHg, capMmHg);
