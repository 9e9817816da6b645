import { type InfiniteData, useInfiniteQuery, useQuery } from '@tanstack/react-query';
import type { HistoryPoint, PastSession } from '#contract/history';
import { PAGE_OF_HISTORY } from '#contract/pages';
import type { OcclusionFact } from '#core/occlusion-pressure';
import type { Clearance, Screening } from '#core/screening';
import type { StrengthFact } from '#core/strength';
import { api, read } from './api';
import { KEYS } from './keys';

/** Rows of the years, newest first, as far as they were asked for. */
export type Rows<Row> = { rows: Row[]; more: (() => void) | null };

function usePages<Row>(
  queryKey: readonly string[],
  ask: (beforeMs: number | null) => Promise<Row[]>,
  atMs: (row: Row) => number,
): Rows<Row> {
  const { data, hasNextPage, fetchNextPage } = useInfiniteQuery<
    Row[],
    Error,
    InfiniteData<Row[]>,
    readonly string[],
    number | null
  >({
    queryKey,
    queryFn: ({ pageParam }) => ask(pageParam),
    initialPageParam: null,
    getNextPageParam: (page) => {
      const oldest = page.at(-1);
      return oldest && page.length === PAGE_OF_HISTORY ? atMs(oldest) : null;
    },
  });
  return {
    rows: data?.pages.flat() ?? [],
    more: hasNextPage ? () => void fetchNextPage() : null,
  };
}

const before = (beforeMs: number | null) => (beforeMs === null ? {} : { beforeMs: String(beforeMs) });

export const usePastSessions = (id: string): Rows<PastSession> =>
  usePages(
    KEYS.history(id, 'sessions'),
    (beforeMs) => read(api.clients[':id'].history.sessions.$get({ param: { id }, query: before(beforeMs) })),
    ({ startedAtMs }) => startedAtMs,
  );

export const useScreenings = (id: string): Rows<Screening> =>
  usePages(
    KEYS.history(id, 'screenings'),
    (beforeMs) =>
      read<Screening[]>(
        api.clients[':id'].history.screenings.$get({ param: { id }, query: before(beforeMs) }),
      ),
    ({ atMs }) => atMs,
  );

/** Clearances that have run out. */
export const usePastClearances = (id: string): Rows<Clearance> =>
  usePages(
    KEYS.history(id, 'clearances'),
    (beforeMs) =>
      read(api.clients[':id'].history.clearances.$get({ param: { id }, query: before(beforeMs) })),
    ({ untilMs }) => untilMs ?? 0,
  );

/** Pressures of the same limb, position and cuff as one, in mmHg. */
export function usePressuresLike(id: string, { limb, position, cuffId }: OcclusionFact) {
  return useQuery({
    queryKey: KEYS.history(id, 'pressures', limb, position, cuffId),
    queryFn: () =>
      read<HistoryPoint[]>(
        api.clients[':id'].history.pressures.$get({ param: { id }, query: { limb, position, cuffId } }),
      ),
  }).data;
}

/** 1RMs of the same exercise and side as one, in kg. */
export function useOneRepMaxesLike(id: string, { exerciseId, side }: StrengthFact) {
  return useQuery({
    queryKey: KEYS.history(id, 'one-rep-maxes', exerciseId, side),
    queryFn: () =>
      read<HistoryPoint[]>(
        api.clients[':id'].history['one-rep-maxes'].$get({ param: { id }, query: { exerciseId, side } }),
      ),
  }).data;
}
