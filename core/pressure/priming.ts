import { z } from 'zod';
import { msg } from '../message/message';
import { roundDownToDivision, tidy } from '../quantity/rounding';
import { RULES } from '../rules/catalogue';

const { onMs, offMs, startShare, stepMmHg, mostCycles } = RULES['PRS-6'].figures;

const spellMs = z
  .number(msg('Enter a time in seconds.'))
  .int()
  .min(5_000, msg('At least 5 s.'))
  .max(120_000, msg('At most 120 s.'));

/** How a cuff is got used to: where it begins, how much is added, how long it is up and down (rule PRS-6). */
export const primingSchema = z.object({
  start: z.discriminatedUnion('of', [
    z.object({
      of: z.literal('target'),
      percent: z
        .number(msg('Enter a share of the target in %.'))
        .min(10, msg('At least 10 %.'))
        .max(100, msg('At most 100 %.')),
    }),
    z.object({
      of: z.literal('nothing'),
      mmHg: z.number(msg('Enter mmHg.')).min(10, msg('At least 10 mmHg.')).max(300, msg('At most 300 mmHg.')),
    }),
  ]),
  stepMmHg: z
    .number(msg('Enter mmHg.'))
    .min(5, msg('At least 5 mmHg a cycle.'))
    .max(100, msg('At most 100 mmHg a cycle.')),
  onMs: spellMs,
  offMs: spellMs,
});
export type Priming = z.infer<typeof primingSchema>;

/** The unchanged priming (rule PRS-6). */
export const USUAL_PRIMING: Priming = {
  start: { of: 'target', percent: startShare * 100 },
  stepMmHg,
  onMs,
  offMs,
};

/** More cycles than this are no preparation any more (rule PRS-6). */
export const MOST_PRIMING_CYCLES = mostCycles;

/**
 * Pressures of the priming cycles in mmHg: from the start, a step more each cycle, until the target (rule PRS-6).
 * @param targetMmHg the pressure to get used to; the last cycle is at it
 * @param gaugeDivisionMmHg each is rounded down to it
 * @example primingPressures(104, 2) //=> [62, 82, 102, 104]
 * @example primingPressures(5, 5) //=> [5]
 * @example primingPressures(104, 2, { ...USUAL_PRIMING, start: { of: 'nothing', mmHg: 75 } }) //=> [74, 94, 104]
 */
export function primingPressures(
  targetMmHg: number,
  gaugeDivisionMmHg: number,
  { start, stepMmHg: step }: Priming = USUAL_PRIMING,
): number[] {
  const wantedMmHg = start.of === 'target' ? (targetMmHg * start.percent) / 100 : start.mmHg;
  const pressures: number[] = [];
  // A cycle at nothing is none.
  let nextMmHg = Math.max(gaugeDivisionMmHg, roundDownToDivision(wantedMmHg, gaugeDivisionMmHg));
  while (nextMmHg < targetMmHg) {
    pressures.push(roundDownToDivision(nextMmHg, gaugeDivisionMmHg));
    nextMmHg += step;
  }
  // Steps smaller than a division come to the same figure: each is done once.
  return [...new Set([...pressures, targetMmHg])];
}

/** By feel two shares come before the whole, since a mark is no pressure (rules PRS-6, TIGHT). */
const MARK_SHARES = [startShare, (1 + startShare) / 2, 1];

/**
 * Where a strap is tightened to in its priming cycles: from the same share of its mark, whole steps, the last at the mark itself.
 * @example primingMarks(6) //=> [3, 4, 6]
 * @example primingMarks(12) //=> [7, 9, 12]
 */
export const primingMarks = (mark: number): number[] =>
  [
    ...new Set(
      MARK_SHARES.map((share) => (share === 1 ? mark : Math.max(1, Math.floor(tidy(mark * share))))),
    ),
  ].filter((step) => step <= mark);

/** How long so many cycles take before the cuff goes up for the work, in ms. */
export const primingMs = (cycles: number, { onMs, offMs }: Pick<Priming, 'onMs' | 'offMs'>): number =>
  cycles * (onMs + offMs);
