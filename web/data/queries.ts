import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import type { ClientRecord } from '#contract/client';
import type { Practitioner } from '#contract/practice';
import { api, read } from './api';
import { workingPractitioner } from './practitioner';

/** Keys of what is asked of the server. */
export const KEYS = {
  practice: ['practice'],
  roster: ['roster'],
  client: (id: string) => ['client', id],
  practiceAttempts: ['practice-attempts'],
  openSessions: ['sessions', 'open'],
  session: (id: string) => ['sessions', id],
} as const;

export const usePractice = () =>
  useQuery({ queryKey: KEYS.practice, queryFn: () => read(api.practice.$get()), staleTime: 60_000 });

export const useRoster = () => useQuery({ queryKey: KEYS.roster, queryFn: () => read(api.clients.$get()) });

export const useClient = (id: string) =>
  useQuery({
    queryKey: KEYS.client(id),
    queryFn: () => read<ClientRecord>(api.clients[':id'].$get({ param: { id } })),
  });

/** Who works at this device, once the practice is known. */
export function usePractitioner(): Practitioner | undefined {
  const id = workingPractitioner.use();
  return usePractice().data?.practitioners.find((practitioner) => practitioner.id === id);
}

/** Whether a clinician works at this device; what is only theirs the server refuses to others anyway (rule SCR-4). */
export const useIsClinician = (): boolean => usePractitioner()?.role === 'clinician';

/** A write whose answer is a person's whole record: it takes the place of what was known, and the roster follows. */
export function useRecordWrite<Body>(write: (body: Body) => Promise<ClientRecord>) {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: write,
    onSuccess: (record) => {
      queries.setQueryData(KEYS.client(record.id), record);
      return queries.invalidateQueries({ queryKey: KEYS.roster });
    },
  });
}
