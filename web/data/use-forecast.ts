import { useQuery } from '@tanstack/react-query';
import type { SeenExercise } from '#core/forecast/fit-trainee';
import type { Plan } from '#core/plan/plan';
import { seedOf } from '#core/simulation/random';
import { planningWorker } from '../workers/planning';

const RUNS = 10_000;

/** What the sets of a plan are likely to bring, worked out beside the page. The same plan gives the same answer. */
export function useForecast(plan: Plan | null, seen: SeenExercise[]) {
  const asked = plan && {
    ...plan,
    exercises: plan.exercises.map(({ label, limbs, sets, load }) => ({
      label,
      limbs,
      sets,
      load,
    })),
  };
  return useQuery({
    queryKey: ['forecast', asked, seen],
    queryFn: () =>
      plan
        ? planningWorker().forecast({ plan, seen, runs: RUNS, seed: seedOf(JSON.stringify(asked)) })
        : Promise.resolve(null),
    enabled: plan !== null,
    placeholderData: (before) => before,
    staleTime: Number.POSITIVE_INFINITY,
  });
}
