import { z } from 'zod';
import { capital, list, type Message, msg } from '../message/message';

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

/** A limb as it is within a sentence. */
export const LIMB_NAMES: Record<Limb, Message> = {
  'left-arm': msg('left arm'),
  'right-arm': msg('right arm'),
  'left-thigh': msg('left thigh'),
  'right-thigh': msg('right thigh'),
};

/** A limb as a heading. */
export const LIMB_LABELS: Record<Limb, Message> = {
  'left-arm': capital(LIMB_NAMES['left-arm']),
  'right-arm': capital(LIMB_NAMES['right-arm']),
  'left-thigh': capital(LIMB_NAMES['left-thigh']),
  'right-thigh': capital(LIMB_NAMES['right-thigh']),
};

export const POSITION_NAMES: Record<Position, Message> = {
  lying: msg('lying'),
  sitting: msg('sitting'),
  standing: msg('standing'),
};

export const SIDE_NAMES: Record<'left' | 'right' | 'both', Message> = {
  left: msg('left'),
  right: msg('right'),
  both: msg('both'),
};

export const LIMB_KIND_NAMES: Record<LimbKind, Message> = { arm: msg('arm'), leg: msg('leg') };

/** "left thigh", or "both thighs" for a pair. */
export function limbsWords(limbs: readonly Limb[]): Message {
  const [first, second] = limbs;
  if (limbs.length === 2 && first && second && limbKind(first) === limbKind(second))
    return limbKind(first) === 'arm' ? msg('both arms') : msg('both thighs');
  return list(
    limbs.map((limb) => LIMB_NAMES[limb]),
    'and',
  );
}

export const limbKind = (limb: Limb): LimbKind => (limb.endsWith('arm') ? 'arm' : 'leg');
export const limbSide = (limb: Limb): 'left' | 'right' => (limb.startsWith('left') ? 'left' : 'right');

/** How much more upright `a` is than `b`: positive, zero or negative steps. */
export const uprightness = (a: Position, b: Position): number => POSITIONS.indexOf(a) - POSITIONS.indexOf(b);

/** The same kind of limb on the other side. */
export const otherSide = (limb: Limb): Limb =>
  (limbSide(limb) === 'left' ? limb.replace('left', 'right') : limb.replace('right', 'left')) as Limb;
