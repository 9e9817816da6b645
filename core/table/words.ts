import type { PulseMethod } from '../occlusion-pressure/methods';
import type { Limb, Position } from '../quantity/limb';
import type { Side } from '../strength/side';

/** Words in the order of the letters and figures they are made of, so that "L. Thigh" and "l thigh" are one. */
export const plainWords = (text: string): string =>
  text
    .normalize('NFKD')
    .replace(/\p{M}/gu, '')
    .toLowerCase()
    .replace(/[^\p{L}\p{N}]+/gu, ' ')
    .trim();

/** What each side is called, its letters last. */
export const SIDES = {
  left: ['left', 'links', 'linke', 'linker', 'linkes', 'l'],
  right: ['right', 'rechts', 'rechte', 'rechter', 'rechtes', 'r'],
};
/** What each limb is called beside its side. */
export const PARTS = {
  arm: ['upper arm', 'arm', 'oberarm'],
  thigh: ['thigh', 'leg', 'oberschenkel', 'bein'],
};

const limb = (side: 'left' | 'right', part: 'arm' | 'thigh'): string[] => [
  ...SIDES[side].flatMap((word) => PARTS[part].flatMap((name) => [`${word} ${name}`, `${name} ${word}`])),
  ...PARTS[part].map((name) => `${side.charAt(0)}${name.charAt(0)}`),
];

export const LIMB_WORDS: Record<Limb, readonly string[]> = {
  'left-arm': limb('left', 'arm'),
  'right-arm': limb('right', 'arm'),
  'left-thigh': limb('left', 'thigh'),
  'right-thigh': limb('right', 'thigh'),
};
export const SIDE_WORDS: Record<Side, readonly string[]> = {
  left: SIDES.left,
  right: SIDES.right,
  both: ['both', 'b', 'bilateral', 'two sided', 'l r', 'left right', 'beide', 'beidseits', 'links rechts'],
};
export const POSITION_WORDS: Record<Position, readonly string[]> = {
  lying: ['lying', 'supine', 'lie', 'liegend', 'im liegen'],
  sitting: ['sitting', 'seated', 'sit', 'sitzend', 'im sitzen'],
  standing: ['standing', 'stand', 'stehend', 'im stehen'],
};
export const METHOD_WORDS: Record<PulseMethod, readonly string[]> = {
  doppler: ['doppler', 'probe', 'doppler probe', 'sonde', 'dopplersonde'],
  palpation: ['palpation', 'fingers', 'by hand', 'finger', 'tasten'],
  oximeter: ['oximeter', 'pulse oximeter', 'oximeter trace', 'oximeterkurve'],
  'automatic-pump': [
    'automatic pump',
    'pump',
    'automatic',
    'the pump itself',
    'automatisch',
    'pumpe',
    'die pumpe selbst',
  ],
};

/** What is meant by a word, of those there are; `null` where it is none of them. @example wordIn(SIDE_WORDS, 'L.') //=> 'left' */
export function wordIn<T extends string>(words: Record<T, readonly string[]>, text: string): T | null {
  const plain = plainWords(text);
  const found = (Object.keys(words) as T[]).find(
    (id) => plainWords(id) === plain || words[id].includes(plain),
  );
  return found ?? null;
}
