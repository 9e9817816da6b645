import { useInfiniteQuery, useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { v4 as newId } from 'uuid';
import type { FoundNote, NewVisitNote, VisitNotes } from '#contract/visit-notes';
import { api, read } from './api';
import { KEYS } from './keys';

/** Notes of a person, the newest visit first, or those that a search finds. */
export const useVisitNotes = (clientId: string, search: string) =>
  useInfiniteQuery({
    queryKey: KEYS.visitNotes(clientId, search),
    initialPageParam: Number.MAX_SAFE_INTEGER,
    queryFn: ({ pageParam: beforeMs }) =>
      read<VisitNotes>(
        api.clients[':id'].notes.$get({
          param: { id: clientId },
          query: { search, beforeMs: String(beforeMs) },
        }),
      ),
    getNextPageParam: ({ notes, hasMore }) => (hasMore ? notes.at(-1)?.atMs : undefined),
  });

/** Keeps a note, or one in the place of another. */
export function useKeepVisitNote(clientId: string) {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: (note: Omit<NewVisitNote, 'id'>) =>
      read<VisitNotes>(
        api.clients[':id'].notes.$post({ param: { id: clientId }, json: { id: newId(), ...note } }),
      ),
    onSuccess: () =>
      Promise.all([
        queries.invalidateQueries({ queryKey: KEYS.visitNotes(clientId) }),
        queries.invalidateQueries({ queryKey: KEYS.entries(clientId) }),
      ]),
  });
}

const LEAST_LETTERS = 3;

/** Notes of all people that have some words in them. */
export const useFoundNotes = (search: string): readonly FoundNote[] =>
  useQuery({
    queryKey: KEYS.foundNotes(search),
    queryFn: () => read<FoundNote[]>(api.clients.notes.$get({ query: { search } })),
    enabled: search.length >= LEAST_LETTERS,
  }).data ?? [];
