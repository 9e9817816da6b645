import { type Message, msg, sentences, type Text } from '../message/message';
import type { Limb } from '../quantity/limb';
import { type FigureId, figureWords } from './figure-ids';

/** A figure of an exercise that is another than when it was last opened: from what to what, and why (rule CRS-3). */
export type Move = {
  exerciseIndex: number;
  figure: FigureId;
  /** Where each limb has its own. */
  limb?: Limb | undefined;
  from: number;
  to: number;
  why: Text;
  /** What keeps it from going further, in words (rule CRS-4). */
  heldBy?: Text | undefined;
};

/** Whether it asks for more than before. */
export const isRise = ({ from, to }: Pick<Move, 'from' | 'to'>): boolean => to > from;

/** A move in words. @example moveWords(move) //=> '45 % → 50 %: week 2.' */
export function moveWords({ figure, from, to, why, heldBy }: Move): Message {
  const values = { from: figureWords(figure, from), to: figureWords(figure, to), why };
  const moved = why === '' ? msg('{from} → {to}.', values) : msg('{from} → {to}: {why}.', values);
  return heldBy ? sentences(moved, msg('No further: {heldBy}.', { heldBy })) : moved;
}
