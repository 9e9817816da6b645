import type { Dose } from '../plan/dose';
import type { Limb } from '../quantity/limb';

/** Doses of several sessions added up, per limb and in all (rule RUN-5). */
export type Totals = {
  sessions: number;
  occludedMs: number;
  volumeKgReps: number;
  limbs: { limb: Limb; totalOcclusionMs: number; pressureTimeMmHgMin: number | null }[];
};

/** Adds up what sessions gave, of a week or a block. */
export function totalsOf(doses: readonly Dose[]): Totals {
  const limbs = new Map<Limb, Totals['limbs'][number]>();
  for (const { limb, totalOcclusionMs, pressureTimeMmHgMin } of doses.flatMap((dose) => dose.limbs)) {
    const sum = limbs.get(limb) ?? { limb, totalOcclusionMs: 0, pressureTimeMmHgMin: null };
    sum.totalOcclusionMs += totalOcclusionMs;
    if (pressureTimeMmHgMin !== null)
      sum.pressureTimeMmHgMin = (sum.pressureTimeMmHgMin ?? 0) + pressureTimeMmHgMin;
    limbs.set(limb, sum);
  }
  return {
    sessions: doses.length,
    occludedMs: doses.reduce((sum, dose) => sum + dose.occludedMs, 0),
    volumeKgReps: doses.reduce((sum, dose) => sum + dose.volumeKgReps, 0),
    limbs: [...limbs.values()],
  };
}
