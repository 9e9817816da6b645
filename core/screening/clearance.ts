import { z } from 'zod';
import { msg } from '../message/message';
import { type Rung, rungHeight, rungSchema } from '../protocol/exercise';
import { type RangeLimit, rangeLimitSchema } from '../protocol/joint-range';
import { type WorkMode, workModeSchema } from '../protocol/work-mode';
import { LIMBS, type Limb, limbSchema } from '../quantity/limb';
import { itemIdSchema } from './items';

const foundSubjectSchema = z.union([itemIdSchema, z.literal('blood-pressure')]);
/** What a screening found: an item, or the resting blood pressure. */
export type FoundSubject = z.infer<typeof foundSubjectSchema>;

/** What a clearance is about: what was found, or how the pressure rises in work, which it only limits. */
export const clearanceSubjectSchema = z.union([foundSubjectSchema, z.literal('pressor-response')]);
export type ClearanceSubject = z.infer<typeof clearanceSubjectSchema>;

/** A written clearance: who gave it, for what, until when, and what it limits (rule SCR-2). */
export const clearanceSchema = z.object({
  subjects: z.array(clearanceSubjectSchema).min(1, msg('Say what it clears.')),
  givenBy: z.string().trim().min(1, msg('Say who gave it.')).max(120),
  byPhysician: z.boolean(),
  givenAtMs: z.number().int().positive(),
  /** Null while it has no expiry. */
  untilMs: z.number().int().positive().nullable(),
  maxPercentLop: z.number().int().min(10, msg('At least 10 %.')).max(100, msg('At most 100 %.')).nullable(),
  /** Limbs it speaks of; empty speaks of the whole person. */
  limbs: z.array(limbSchema),
  /** Work it allows them; empty allows all. */
  modes: z.array(workModeSchema),
  /** The highest rung of work that it allows them; null allows all. */
  highestRung: rungSchema.nullable().default(null),
  /** Ranges of their joints that it forbids. */
  ranges: z.array(rangeLimitSchema).max(6, msg('At most 6 ranges.')).default([]),
  note: z.string().trim().max(400, msg('At most 400 characters.')),
});
export type Clearance = z.infer<typeof clearanceSchema>;

/** What binds one limb: what all clearances in force that speak of it limit together. `null` limits nothing. */
export type LimbLimits = {
  maxPercentLop: number | null;
  /** Who set the lowest cap, for the words beside it. */
  capFrom: string | null;
  modes: WorkMode[] | null;
  highestRung: Rung | null;
  /** Ranges not to be gone through, with who forbids them. */
  ranges: (RangeLimit & { from: string })[];
  /** Not so where something was found that is cleared for other limbs alone. */
  isCleared: boolean;
};

/** What binds each limb (rule SCR-2). */
export type Limits = Record<Limb, LimbLimits>;

export const isInForce = ({ givenAtMs, untilMs }: Clearance, nowMs: number): boolean =>
  givenAtMs <= nowMs && (untilMs === null || nowMs <= untilMs);

export const hasLimits = (clearance: Clearance): boolean =>
  clearance.maxPercentLop !== null || clearance.limbs.length > 0 || limitsWork(clearance);

/** Whether a clearance says what kind of work it allows. */
export const limitsWork = ({ modes, highestRung, ranges }: Clearance): boolean =>
  modes.length > 0 || highestRung !== null || ranges.length > 0;

/** Whether a clearance says anything of a limb: one that names none speaks of the whole person. */
export const speaksOf = ({ limbs }: Pick<Clearance, 'limbs'>, limb: Limb): boolean =>
  limbs.length === 0 || limbs.includes(limb);

/**
 * The limits that every later number obeys, limb by limb: the lowest cap, and only work that every clearance allows, of those
 * that speak of it (rule SCR-2, lower when in doubt).
 * @param cleared the limbs that may be trained by what was found
 */
export function limitsByLimb(
  clearances: readonly Clearance[],
  cleared: readonly Limb[],
  nowMs: number,
): Limits {
  const inForce = clearances.filter((clearance) => isInForce(clearance, nowMs));
  const limitsOf = (limb: Limb): LimbLimits => {
    const binding = inForce.filter((clearance) => speaksOf(clearance, limb));
    const capOf = ({ maxPercentLop }: Clearance) => maxPercentLop ?? Number.POSITIVE_INFINITY;
    const [lowest] = binding
      .filter(({ maxPercentLop }) => maxPercentLop !== null)
      .sort((a, b) => capOf(a) - capOf(b));
    return {
      maxPercentLop: lowest?.maxPercentLop ?? null,
      capFrom: lowest?.givenBy ?? null,
      modes: inCommon(binding.map(({ modes }) => modes)),
      highestRung: lowestRung(binding.flatMap(({ highestRung }) => highestRung ?? [])),
      ranges: binding.flatMap(({ ranges, givenBy }) => ranges.map((range) => ({ ...range, from: givenBy }))),
      isCleared: cleared.includes(limb),
    };
  };
  return Object.fromEntries(LIMBS.map((limb) => [limb, limitsOf(limb)])) as Limits;
}

/** The lowest cap on any of some limbs, in %LOP; `null` where there is none. */
export function capOn(limits: Limits, limbs: readonly Limb[]): number | null {
  const caps = limbs.flatMap((limb) => limits[limb].maxPercentLop ?? []);
  return caps.length > 0 ? Math.min(...caps) : null;
}

const lowestRung = (rungs: readonly Rung[]): Rung | null =>
  [...rungs].sort((a, b) => rungHeight(a) - rungHeight(b))[0] ?? null;

/** What every list that says anything agrees on; `null` when none says anything. */
function inCommon<T>(lists: readonly (readonly T[])[]): T[] | null {
  const [first, ...others] = lists.filter((list) => list.length > 0);
  return first ? first.filter((value) => others.every((list) => list.includes(value))) : null;
}
