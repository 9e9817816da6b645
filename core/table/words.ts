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

const limb = (side: 'left' | 'right', part: 'arm' | 'thigh', others: readonly string[]): string[] => {
  const letter = side.charAt(0);
  return [part, ...others].flatMap((name) => [
    `${side} ${name}`,
    `${name} ${side}`,
    `${letter} ${name}`,
    `${name} ${letter}`,
    `${letter}${name.charAt(0)}`,
  ]);
};

export const LIMB_WORDS: Record<Limb, readonly string[]> = {
  'left-arm': limb('left', 'arm', ['upper arm']),
  'right-arm': limb('right', 'arm', ['upper arm']),
  'left-thigh': limb('left', 'thigh', ['leg']),
  'right-thigh': limb('right', 'thigh', ['leg']),
};
export const SIDE_WORDS: Record<Side, readonly string[]> = {
  left: ['left', 'l'],
  right: ['right', 'r'],
  both: ['both', 'b', 'bilateral', 'two sided', 'l r', 'left right'],
};
export const POSITION_WORDS: Record<Position, readonly string[]> = {
  lying: ['lying', 'supine', 'lie'],
  sitting: ['sitting', 'seated', 'sit'],
  standing: ['standing', 'stand'],
};
export const METHOD_WORDS: Record<PulseMethod, readonly string[]> = {
  doppler: ['doppler', 'probe', 'doppler probe'],
  palpation: ['palpation', 'fingers', 'by hand'],
  oximeter: ['oximeter', 'pulse oximeter', 'oximeter trace'],
  'automatic-pump': ['automatic pump', 'pump', 'automatic', 'the pump itself'],
};

/** What is meant by a word, of those there are; `null` where it is none of them. @example wordIn(SIDE_WORDS, 'L.') //=> 'left' */
export function wordIn<T extends string>(words: Record<T, readonly string[]>, text: string): T | null {
  const plain = plainWords(text);
  const found = (Object.keys(words) as T[]).find(
    (id) => plainWords(id) === plain || words[id].includes(plain),
  );
  return found ?? null;
}
