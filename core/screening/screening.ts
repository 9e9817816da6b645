import { z } from 'zod';
import { MS_PER_DAY } from '../quantity/units';
import { LIMITS } from '../rules/limits';
import { type BloodPressure, bloodPressureSchema } from './blood-pressure';
import { type ItemId, itemIdSchema, SCREEN_ITEMS } from './items';

/** Rises when an item or its meaning changes, so that old answers keep what they were asked. */
export const SCREEN_VERSION = 1;

export const ITEM_IDS = itemIdSchema.options;

/** The answers of one screening: every item, and two resting blood pressures of one sitting (rule SCR-1). */
export const screeningAnswersSchema = z.object({
  yes: z.array(itemIdSchema),
  bloodPressures: z
    .array(bloodPressureSchema)
    .min(2, 'Take two resting readings a minute apart; their mean counts.')
    .max(3),
  note: z.string().trim().max(400, 'At most 400 characters.').default(''),
});

/** A screening on record. */
export type Screening = {
  atMs: number;
  version: number;
  yes: ItemId[];
  bloodPressures: BloodPressure[];
  note: string;
};

/** Whether a screening is older than the 12 weeks it holds for (rule SCR-1). */
export const screeningIsDue = (screening: Screening, nowMs: number): boolean =>
  nowMs - screening.atMs > LIMITS.screeningShelfLifeDays * MS_PER_DAY;

/** What changed from one screening to the next, in words; empty when nothing did. */
export function changesSince(before: Screening, after: Pick<Screening, 'yes'>): string[] {
  const label = (id: ItemId) => SCREEN_ITEMS[id].label;
  return [
    ...after.yes.filter((id) => !before.yes.includes(id)).map((id) => `New: ${label(id)}`),
    ...before.yes.filter((id) => !after.yes.includes(id)).map((id) => `No longer: ${label(id)}`),
  ];
}
