import type { Fitness } from '../aerobic/fitness';
import { ageWords } from './age-words';
import type { ClientFacts, FitnessFact } from './facts';

/** How fit a person is by what counts now: the newest of each test. */
export function fitnessInForce({ fitness }: Pick<ClientFacts, 'fitness'>, nowMs: number): Fitness {
  const newest = (id: FitnessFact['measureId']) =>
    fitness
      .filter(({ measureId }) => measureId === id)
      .reduce<FitnessFact | null>((last, one) => (last && last.atMs > one.atMs ? last : one), null);
  const vo2max = newest('vo2max');
  const atWorkload = newest('heart-rate-at-workload');
  return {
    vo2max: vo2max && {
      mlPerKgMin: vo2max.value,
      reached: vo2max.reached,
      age: ageWords(vo2max.atMs, nowMs),
    },
    massKg: newest('body-mass')?.value ?? null,
    restingPerMinute: newest('resting-heart-rate')?.value ?? null,
    atWorkload: atWorkload?.reached ? { output: atWorkload.reached, beatsPerMinute: atWorkload.value } : null,
  };
}
