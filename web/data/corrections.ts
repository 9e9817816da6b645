import { useInfiniteQuery, useMutation, useQueryClient } from '@tanstack/react-query';
import type { ClientRecord } from '#contract/client';
import type { Erased, PersonChange, RecordEntries, RetractableKind, Retracted } from '#contract/corrections';
import { api, read } from './api';
import { KEYS } from './keys';

/** What is on a person's record, newest first, what was retracted too. */
export const useEntries = (clientId: string) =>
  useInfiniteQuery({
    queryKey: KEYS.entries(clientId),
    initialPageParam: Number.MAX_SAFE_INTEGER,
    queryFn: ({ pageParam: beforeMs }) =>
      read<RecordEntries>(
        api.clients[':id'].entries.$get({ param: { id: clientId }, query: { beforeMs: String(beforeMs) } }),
      ),
    getNextPageParam: ({ entries, hasMore }) => (hasMore ? entries.at(-1)?.atMs : undefined),
  });

/** A write after which everything about a person, and where they are among others, is read again. */
function useCorrection<Asked, Answer>(write: (asked: Asked) => Promise<Answer>) {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: write,
    onSuccess: async () => {
      await queries.invalidateQueries();
    },
  });
}

export const useRetract = (clientId: string) =>
  useCorrection(({ kind, id, reason }: { kind: RetractableKind; id: string; reason: string }) =>
    read<Retracted>(
      api.clients[':id'].retractions.$post({ param: { id: clientId }, json: { kind, id, reason } }),
    ),
  );

export const useChangePerson = (clientId: string) =>
  useCorrection((json: PersonChange) =>
    read<ClientRecord>(api.clients[':id'].$post({ param: { id: clientId }, json })),
  );

export const useMerge = (clientId: string) =>
  useCorrection((json: { otherId: string; reason: string }) =>
    read<ClientRecord>(api.clients[':id'].merge.$post({ param: { id: clientId }, json })),
  );

/** Forgets a person; nothing of them is asked for again. */
export function useErase(clientId: string) {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: (json: { name: string; reason: string }) =>
      read<Erased>(api.clients[':id'].erasure.$post({ param: { id: clientId }, json })),
    onSuccess: () => {
      queries.removeQueries({ queryKey: KEYS.client(clientId) });
      void queries.invalidateQueries({ queryKey: KEYS.roster });
    },
  });
}
