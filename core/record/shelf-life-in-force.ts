import type { ShelfLife } from '../occlusion-pressure/shelf-life';
import type { Limb } from '../quantity/limb';
import { isOperated } from './conditions-in-force';
import type { ClientFacts } from './facts';

/** How long a pressure of a limb holds: every session after an operation on it, else as set for it, else for them (LOP-6). */
export const shelfLifeInForce = (
  facts: Pick<ClientFacts, 'conditions' | 'shelfLife' | 'limbShelfLives'>,
  limb: Limb,
  nowMs: number,
): ShelfLife =>
  isOperated(facts, limb, nowMs)
    ? 'every-session'
    : (facts.limbShelfLives.find((own) => own.limb === limb)?.shelfLife ?? facts.shelfLife);
