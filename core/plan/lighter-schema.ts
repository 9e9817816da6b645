import { z } from 'zod';
import { type Message, msg } from '../message/message';

/** Why a person trains lighter today, though nothing holds the session (rule SCR-3). */
export const WHY_LIGHTER = {
  'slept-badly': msg('Slept badly'),
  'not-eaten': msg('Not eaten or drunk'),
  unwell: msg('Unwell'),
  sore: msg('Sore'),
} as const;
export type WhyLighter = keyof typeof WHY_LIGHTER;

/** What is made lighter, for today alone. */
export const LIGHTER_WAYS = {
  pressure: msg('Ten points less'),
  sets: msg('One set fewer'),
} as const;

/** The same as it is within a sentence. */
export const LIGHTER_NAMES = {
  pressure: msg('ten points less'),
  sets: msg('one set fewer'),
} as const;

/** A lighter version of a plan, for today. */
export type Lighter = { how: keyof typeof LIGHTER_WAYS; why: WhyLighter };

const keyOf = <Key extends string>(words: Record<Key, Message>) => z.enum(Object.keys(words) as Key[]);

export const lighterSchema: z.ZodType<Lighter, Lighter> = z.object({
  how: keyOf(LIGHTER_WAYS),
  why: keyOf(WHY_LIGHTER),
});
