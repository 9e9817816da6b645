import { z } from 'zod';
import type { Role } from '../access/permissions';
import { type Message, msg } from '../message/message';
import { limbSchema } from '../quantity/limb';
import { MS_PER_DAY } from '../quantity/units';
import { RULES } from '../rules/catalogue';
import { type BloodPressure, bloodPressureSchema } from './blood-pressure';
import { type ItemId, itemIdSchema, SCREEN_ITEMS } from './items';

/** Rises when an item or its meaning changes, so that old answers keep what they were asked. */
export const SCREEN_VERSION = 4;

export const ITEM_IDS = itemIdSchema.options;

/** An operation: on a limb, or on none of them (a back). */
export const procedureSchema = z.object({
  limb: z.union([limbSchema, z.literal('no-limb')]),
  atMs: z.number(msg('Enter the date of the operation.')).int().positive(),
  what: z.string().trim().min(1, msg('Say what was done.')).max(120, msg('At most 120 characters.')),
});
export type Procedure = z.infer<typeof procedureSchema>;

/** In which limbs an item is. */
export const itemPlaceSchema = z.object({
  item: itemIdSchema,
  limbs: z.array(limbSchema).min(1, msg('Say which limb.')).max(4),
});
export type ItemPlace = z.infer<typeof itemPlaceSchema>;

const medicineSchema = z.string().trim().min(1).max(80, msg('At most 80 characters each.'));

/** The answers of one screening: every item, and two resting blood pressures of one sitting (rule SCR-1). */
export const screeningAnswersSchema = z.object({
  yes: z.array(itemIdSchema),
  bloodPressures: z
    .array(bloodPressureSchema)
    .min(2, msg('Take two resting readings a minute apart; their mean counts.'))
    .max(3),
  note: z.string().trim().max(400, msg('At most 400 characters.')).default(''),
  /** Operations of the last 12 weeks: which limb, when, and what was done; every "days since" counts from them. */
  procedures: z.array(procedureSchema).max(8).default([]),
  /** Of items "in the limb" that are there: in which. The form asks for it; a stop is never refused for want of it. */
  places: z.array(itemPlaceSchema).max(20).default([]),
  /** A short list, in words. */
  medicines: z.array(medicineSchema).max(20, msg('At most 20.')).default([]),
  /** Of a person under 18: their 18th birthday, in ms since 1970, where it is known. */
  adultFromMs: z.number(msg('Enter the 18th birthday.')).int().positive().nullable().default(null),
});

/** Items in a limb that are there without a word on which limb. */
export const withoutPlace = (yes: readonly ItemId[], places: readonly ItemPlace[]): ItemId[] =>
  yes.filter((id) => SCREEN_ITEMS[id].inLimb && !places.some(({ item }) => item === id));

/** A screening on record. */
export type Screening = {
  atMs: number;
  version: number;
  yes: ItemId[];
  bloodPressures: BloodPressure[];
  note: string;
  procedures?: Procedure[] | undefined;
  /** Screenings of earlier releases did not name limbs or medicines. */
  places?: ItemPlace[] | undefined;
  medicines?: string[] | undefined;
  adultFromMs?: number | null | undefined;
  /** Who asked; older ones did not keep it. */
  by?: Role | undefined;
};

/** Whether questions have been added since a screening was asked: they are asked before anything goes on (rule SCR-1). */
export const hasNewQuestions = ({ version }: Pick<Screening, 'version'>): boolean => version < SCREEN_VERSION;

/** Whether a screening is older than the 12 weeks it holds for (rule SCR-1). */
export const screeningIsDue = (screening: Screening, nowMs: number): boolean =>
  nowMs - screening.atMs > RULES['SCR-1'].figures.shelfLifeDays * MS_PER_DAY;

/** What changed from one screening to the next, in words; empty when nothing did. */
export function changesSince(before: Screening, after: Pick<Screening, 'yes'>): Message[] {
  const label = (id: ItemId) => SCREEN_ITEMS[id].label;
  return [
    ...after.yes
      .filter((id) => !before.yes.includes(id))
      .map((id) => msg('New: {label}', { label: label(id) })),
    ...before.yes
      .filter((id) => !after.yes.includes(id))
      .map((id) => msg('No longer: {label}', { label: label(id) })),
  ];
}
