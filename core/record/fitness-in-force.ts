import type { Fitness } from '../aerobic/fitness';
import { newest } from '../quantity/newest';
import { ageWords } from './age-words';
import type { ClientFacts, FitnessFact } from './facts';

/** How fit a person is by what counts now: the newest of each test. */
export function fitnessInForce({ fitness }: Pick<ClientFacts, 'fitness'>, nowMs: number): Fitness {
  const newestOf = (id: FitnessFact['measureId']) =>
    newest(fitness.filter(({ measureId }) => measureId === id)) ?? null;
  const vo2max = newestOf('vo2max');
  const atWorkload = newestOf('heart-rate-at-workload');
  return {
    vo2max: vo2max && {
      mlPerKgMin: vo2max.value,
      reached: vo2max.reached,
      age: ageWords(vo2max.atMs, nowMs),
    },
    massKg: newestOf('body-mass')?.value ?? null,
    restingPerMinute: newestOf('resting-heart-rate')?.value ?? null,
    atWorkload: atWorkload?.reached ? { output: atWorkload.reached, beatsPerMinute: atWorkload.value } : null,
  };
}
