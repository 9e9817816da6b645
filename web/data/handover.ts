import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { v4 as newId } from 'uuid';
import type { Handover, NewHandover } from '#contract/handover';
import { api, read } from './api';
import { KEYS } from './keys';

/** Notes for the next shift that were not marked as read, the newest first. */
export const useHandovers = (): readonly Handover[] =>
  useQuery({ queryKey: KEYS.handover, queryFn: () => read<Handover[]>(api.handover.$get()) }).data ?? [];

/** Leaves a note of a client, or of the day. */
export function useLeaveNote(clientId: string | null) {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: (words: string) => {
      const json: NewHandover = { id: newId(), clientId, words };
      return read<Handover[]>(api.handover.$post({ json }));
    },
    onSuccess: (left) => queries.setQueryData(KEYS.handover, left),
  });
}

/** Marks a note as read, for everyone. */
export function useReadNote() {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: (id: string) => read<Handover[]>(api.handover[':id'].read.$post({ param: { id } })),
    onSuccess: (left) => queries.setQueryData(KEYS.handover, left),
  });
}
