import type { NewPracticeAttempt } from '#contract/practice-attempt';
import { limbUnderTraps, makePracticeCase, type PracticeWish } from '#core/learning';
import { CAREFUL, simulateTrial } from '#core/simulation';

const LIMBS: (PracticeWish & { seed: number })[] = [
  { seed: 811, method: 'doppler', limbs: 'any' },
  { seed: 812, method: 'doppler', limbs: 'leg' },
  { seed: 813, method: 'palpation', limbs: 'arm' },
  { seed: 814, method: 'oximeter', limbs: 'arm' },
  { seed: 815, method: 'automatic-pump', limbs: 'leg' },
  { seed: 816, method: 'doppler', limbs: 'any' },
];

/** Who practised on how many of the limbs, and the faintest pulse they noticed at first; practice makes it fainter. */
const LEARNERS: { name: 'hana' | 'ines'; limbs: typeof LIMBS; noticedAtFirst: number }[] = [
  { name: 'hana', limbs: LIMBS.slice(0, 5), noticedAtFirst: 0.5 },
  { name: 'ines', limbs: LIMBS.slice(0, 4), noticedAtFirst: 0.3 },
];

/** Attempts at the practice bench, each made on the simulated limb itself. */
export function* learned(): Generator<{ name: 'hana' | 'ines'; attempt: NewPracticeAttempt }> {
  for (const { name, limbs, noticedAtFirst } of LEARNERS) {
    for (const [place, wish] of limbs.entries()) {
      const practice = makePracticeCase(wish.seed, wish);
      const noticed = place > 0 ? practice.traps : [];
      const standing = practice.traps.filter((trap) => !noticed.includes(trap));
      const trial = simulateTrial(limbUnderTraps(practice, standing), {
        ...CAREFUL,
        noticesFrom: noticedAtFirst / (place + 1),
      });
      const statedMmHg = Math.round((trial.goneMmHg + trial.backMmHg) / 2);
      const elapsedMs = 210_000 - 20_000 * place;
      yield { name, attempt: { ...wish, statedMmHg, highestMmHg: trial.goneMmHg, elapsedMs, noticed } };
    }
  }
}
