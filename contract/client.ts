import { z } from 'zod';
import type { Turn } from '#core/course';
import { type Message, msg, type Text } from '#core/message';
import { shelfLifeSchema } from '#core/occlusion-pressure';
import { isoDaySchema, limbSchema } from '#core/quantity';
import type { ClientFacts, Link } from '#core/record';

export const newClientSchema = z.object({
  name: z.string().trim().min(1, msg('Give the person a name.')).max(80, msg('At most 80 characters.')),
  story: z.string().trim().max(400, msg('At most 400 characters.')).default(''),
});
export type NewClient = z.input<typeof newClientSchema>;

/** Earlier birth dates are slips. */
const FIRST_YEAR = 1900;

/** What is good to know of a person beside their record, in their own words or the practice's. */
export const aboutSchema = z.object({
  contact: z.string().trim().max(200, msg('At most 200 characters.')),
  goals: z.string().trim().max(400, msg('At most 400 characters.')),
  notes: z.string().trim().max(800, msg('At most 800 characters.')),
  /** As an ISO day; empty where it is not known. */
  bornOn: z
    .union([z.literal(''), isoDaySchema])
    .refine(
      (day) => day === '' || day >= `${FIRST_YEAR}`,
      msg('Enter a year from {year} on.', { year: FIRST_YEAR }),
    )
    .default(''),
});
export type About = z.infer<typeof aboutSchema>;
export const NOTHING_KNOWN: About = { contact: '', goals: '', notes: '', bornOn: '' };

/** How long pressures are kept: of the person, or of one limb, where null takes the person's again (rule LOP-6). */
export const newShelfLifeSchema = z
  .object({ limb: limbSchema.nullable().default(null), shelfLife: shelfLifeSchema.nullable() })
  .refine(({ limb, shelfLife }) => limb !== null || shelfLife !== null, {
    path: ['shelfLife'],
    message: msg('Say how long; only a limb can go by what is set for the person.').message,
  });
export type NewShelfLife = z.output<typeof newShelfLifeSchema>;

/** Why a clinician lifts a hold (rule SCR-5). */
export const liftHoldSchema = z.object({
  reason: z
    .string()
    .trim()
    .min(1, msg('Give the reason for lifting it.'))
    .max(400, msg('At most 400 characters.')),
});

/** Why a clinician ends what a person had (rule SCR-1); the same thing said by several screenings has several ids. */
export const endConditionsSchema = z.object({
  ids: z.array(z.string().min(1).max(80)).min(1, msg('Say what ends.')).max(100),
  reason: z
    .string()
    .trim()
    .min(1, msg('Give the reason for ending it.'))
    .max(400, msg('At most 400 characters.')),
});

/** One line of the roster; `next` is the plan whose turn it is, of several, with why. */
export type ClientSummary = {
  id: string;
  name: string;
  story: string;
  chain: Link[];
  next: NextPlan | null;
  /** A muscle whose week is off, else what is due to be measured, in words (rules PRO-3, OUT-4). */
  off: Message | null;
  /** A sign that the emergency number is for, until it is lifted: it comes first of all (rule RUN-6). */
  emergency: { words: Text; atMs: number } | null;
};

/** A plan by its name; how many days away its turn is, null where it is not known; and how many plans are in force. */
export type NextPlan = { name: Text; turn: Turn; plans: number };

/** What of the roster is asked for: people whose name or story has words that begin so, by pages from 0. */
export const peopleQuerySchema = z.object({
  search: z.string().trim().max(80, msg('At most 80 characters.')).default(''),
  page: z.coerce.number().int().min(0).max(100_000).default(0),
  /** Those taken off the list, instead of those on it. */
  archived: z.enum(['yes', 'no']).default('no'),
});

/** A page of the roster, and how many people there are in all. */
export type PeoplePage = { total: number; people: ClientSummary[] };

/**
 * One person with what counts now, and the chain as the server judged it at `judgedAtMs`. `asOf` grows with every write to
 * the database, so that a page that was sent a later one knows to ask again.
 */
export type ClientRecord = ClientSummary & {
  about: About;
  facts: ClientFacts;
  judgedAtMs: number;
  asOf: number;
};

/** Records that have been kept for as long as the practice said; `keepYears` null where it has not. */
export type RetentionList = {
  keepYears: number | null;
  /** `lastMs`: when anything was last recorded, in ms; `keptUntil`: the last day, as an ISO day. The longest first. */
  due: { clientId: string; name: string; lastMs: number; keptUntil: string }[];
};
