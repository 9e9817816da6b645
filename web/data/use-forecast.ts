import { useQuery } from '@tanstack/react-query';
import type { Bout } from '#core/forecast';
import { seedOf } from '#core/simulation';
import { askPlanning } from '../workers/planning';

const RUNS = 10_000;

/** What the sets ahead are likely to bring, worked out beside the page. The same sets give the same answer. */
export function useForecast(bouts: Bout[], past: Bout[][]) {
  return useQuery({
    queryKey: ['forecast', bouts, past],
    queryFn: () =>
      askPlanning((worker) =>
        worker.forecast({ bouts, past, runs: RUNS, seed: seedOf(JSON.stringify(bouts)) }),
      ),
    placeholderData: (before) => before,
    staleTime: Number.POSITIVE_INFINITY,
  });
}
