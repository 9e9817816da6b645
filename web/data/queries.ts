import { type QueryClient, useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import type { ClientRecord } from '#contract/client';
import type { Practitioner } from '#contract/practice';
import { mayDo, type Permission } from '#core/access';
import { NOTHING_SEEN, type Spread } from '#core/occlusion-pressure';
import { api, read } from './api';
import { KEYS } from './keys';
import { putLine } from './people';
import { workingPractitioner } from './practitioner';

export const usePractice = () => useQuery(practiceQuery);

export const practiceQuery = {
  queryKey: KEYS.practice,
  queryFn: () => read(api.practice.$get()),
  staleTime: 60_000,
};

/** How the practice's trials have spread so far; as at first until it is known. */
export const usePracticeSpread = (): Spread =>
  useQuery({ queryKey: KEYS.spread, queryFn: () => read<Spread>(api.practice.spread.$get()) }).data ??
  NOTHING_SEEN;

/** A person's record, as it is asked for. */
export const clientQuery = (id: string) => ({
  queryKey: KEYS.client(id),
  queryFn: () => read<ClientRecord>(api.clients[':id'].$get({ param: { id } })),
});

export const useClient = (id: string) => useQuery(clientQuery(id));

/** Who works at this device, once the practice is known. */
export function usePractitioner(): Practitioner | undefined {
  const id = workingPractitioner.use();
  return usePractice().data?.practitioners.find((practitioner) => practitioner.id === id);
}

/** Whether who is in may do something; the server asks the same table anyway (rule SCR-4). */
export function useMay(permission: Permission): boolean {
  const practitioner = usePractitioner();
  return practitioner !== undefined && mayDo(practitioner, permission);
}

/** A write whose answer is a person's record as it is now: it takes the place of what was known, and their line follows. */
export function useRecordWrite<Body>(write: (body: Body) => Promise<ClientRecord>) {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: write,
    onSuccess: (record) => takeRecord(queries, record),
  });
}

/** Puts a person's record where it is shown, and has what was worked out from the one before asked for again. */
function takeRecord(queries: QueryClient, record: ClientRecord): void {
  const { id, name, story, chain, next, off, emergency } = record;
  queries.setQueryData(KEYS.client(id), record);
  putLine(queries, { id, name, story, chain, next, off, emergency });
  void queries.invalidateQueries({ queryKey: KEYS.lastReviews(id) });
  void queries.invalidateQueries({ queryKey: KEYS.history(id) });
}
