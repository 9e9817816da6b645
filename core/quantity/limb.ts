import { z } from 'zod';

/** The four limbs a cuff can go on, as the person's own left and right. */
export const limbSchema = z.enum(['left-arm', 'right-arm', 'left-thigh', 'right-thigh']);
export type Limb = z.infer<typeof limbSchema>;

export const limbKindSchema = z.enum(['arm', 'leg']);
export type LimbKind = z.infer<typeof limbKindSchema>;

export const positionSchema = z.enum(['lying', 'sitting', 'standing']);
/** Body position; the order is from least to most upright (rule LOP-5). */
export type Position = z.infer<typeof positionSchema>;

export const LIMBS = limbSchema.options;
export const POSITIONS = positionSchema.options;

export const LIMB_LABELS: Record<Limb, string> = {
  'left-arm': 'Left arm',
  'right-arm': 'Right arm',
  'left-thigh': 'Left thigh',
  'right-thigh': 'Right thigh',
};

/** "left thigh", or "both thighs" for a pair. */
export function limbsWords(limbs: readonly Limb[]): string {
  const [first, second] = limbs;
  if (limbs.length === 2 && first && second && limbKind(first) === limbKind(second))
    return limbKind(first) === 'arm' ? 'both arms' : 'both thighs';
  return limbs.map((limb) => LIMB_LABELS[limb].toLowerCase()).join(' and ');
}

export const limbKind = (limb: Limb): LimbKind => (limb.endsWith('arm') ? 'arm' : 'leg');
export const limbSide = (limb: Limb): 'left' | 'right' => (limb.startsWith('left') ? 'left' : 'right');

/** How much more upright `a` is than `b`: positive, zero or negative steps. */
export const uprightness = (a: Position, b: Position): number => POSITIONS.indexOf(a) - POSITIONS.indexOf(b);

/** The same kind of limb on the other side. */
export const otherSide = (limb: Limb): Limb =>
  (limbSide(limb) === 'left' ? limb.replace('left', 'right') : limb.replace('right', 'left')) as Limb;
