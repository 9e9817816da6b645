import { z } from 'zod';
import { type WorkMode, workModeSchema } from '../protocol/work-mode';
import { type Limb, limbSchema } from '../quantity/limb';
import { itemIdSchema } from './items';

const foundSubjectSchema = z.union([itemIdSchema, z.literal('blood-pressure')]);
/** What a screening found: an item, or the resting blood pressure. */
export type FoundSubject = z.infer<typeof foundSubjectSchema>;

/** What a clearance is about: what was found, or how the pressure rises in work, which it only limits. */
export const clearanceSubjectSchema = z.union([foundSubjectSchema, z.literal('pressor-response')]);
export type ClearanceSubject = z.infer<typeof clearanceSubjectSchema>;

/** A written clearance: who gave it, for what, until when, and what it limits (rule SCR-2). */
export const clearanceSchema = z.object({
  subjects: z.array(clearanceSubjectSchema).min(1, 'Say what it clears.'),
  givenBy: z.string().trim().min(1, 'Say who gave it.').max(120),
  byPhysician: z.boolean(),
  givenAtMs: z.number().int().positive(),
  /** Null while it has no expiry. */
  untilMs: z.number().int().positive().nullable(),
  maxPercentLop: z.number().int().min(10, 'At least 10 %.').max(100, 'At most 100 %.').nullable(),
  /** Limbs it allows; empty allows all four. */
  limbs: z.array(limbSchema),
  /** Work it allows; empty allows all. */
  modes: z.array(workModeSchema),
  note: z.string().trim().max(400, 'At most 400 characters.'),
});
export type Clearance = z.infer<typeof clearanceSchema>;

/** What all clearances in force limit together. `null` limits nothing. */
export type ClearanceLimits = {
  maxPercentLop: number | null;
  limbs: Limb[] | null;
  modes: WorkMode[] | null;
  /** Who set the lowest cap, for the words beside it. */
  capFrom: string | null;
};

export const isInForce = ({ givenAtMs, untilMs }: Clearance, nowMs: number): boolean =>
  givenAtMs <= nowMs && (untilMs === null || nowMs <= untilMs);

export const hasLimits = (clearance: Clearance): boolean =>
  clearance.maxPercentLop !== null || clearance.limbs.length > 0 || clearance.modes.length > 0;

/**
 * The limits that every later number obeys: the lowest cap, and only limbs and work that every clearance allows
 * (rule SCR-2, lower when in doubt).
 */
export function limitsInForce(clearances: readonly Clearance[], nowMs: number): ClearanceLimits {
  const inForce = clearances.filter((clearance) => isInForce(clearance, nowMs));
  const capped = inForce.filter(({ maxPercentLop }) => maxPercentLop !== null);
  const lowest = capped.reduce<Clearance | null>(
    (low, next) => (low && (low.maxPercentLop ?? 100) <= (next.maxPercentLop ?? 100) ? low : next),
    null,
  );
  return {
    maxPercentLop: lowest?.maxPercentLop ?? null,
    capFrom: lowest?.givenBy ?? null,
    limbs: inCommon(inForce.map(({ limbs }) => limbs)),
    modes: inCommon(inForce.map(({ modes }) => modes)),
  };
}

/** What every list that says anything agrees on; `null` when none says anything. */
function inCommon<T>(lists: readonly (readonly T[])[]): T[] | null {
  const [first, ...others] = lists.filter((list) => list.length > 0);
  return first ? first.filter((value) => others.every((list) => list.includes(value))) : null;
}
