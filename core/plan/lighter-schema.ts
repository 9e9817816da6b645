import { z } from 'zod';

/** Why somebody trains lighter today, though nothing holds the session (rule SCR-3). */
export const WHY_LIGHTER = {
  'slept-badly': 'Slept badly',
  'not-eaten': 'Not eaten or drunk',
  unwell: 'Unwell',
  sore: 'Sore',
} as const;
export type WhyLighter = keyof typeof WHY_LIGHTER;

/** What is made lighter, for today alone. */
export const LIGHTER_WAYS = {
  pressure: 'Ten points less',
  sets: 'One set fewer',
} as const;

/** A lighter version of a plan, for today. */
export type Lighter = { how: keyof typeof LIGHTER_WAYS; why: WhyLighter };

const keyOf = <Key extends string>(words: Record<Key, string>) => z.enum(Object.keys(words) as Key[]);

export const lighterSchema: z.ZodType<Lighter, Lighter> = z.object({
  how: keyOf(LIGHTER_WAYS),
  why: keyOf(WHY_LIGHTER),
});
