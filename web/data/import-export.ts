import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import type { ArchiveMatches, ArchivePreview, ImportBatch, SiteFingerprint } from '#contract/archive';
import type { TableAnswer } from '#contract/table';
import type { TableKind } from '#core/table';
import { api, read, whoAsks } from './api';
import { KEYS } from './keys';
import { saveFile } from './save-file';

// Whole files go as they are: the typed client speaks JSON.
const send = (path: string, asked: Record<string, string>, body: Blob): Promise<Response> =>
  fetch(`/api/${path}?${new URLSearchParams(asked)}`, {
    method: 'POST',
    headers: whoAsks(),
    body,
  });

export const useImports = () =>
  useQuery({
    queryKey: KEYS.imports,
    queryFn: () => read<ImportBatch[]>(api.archive.imports.$get()),
  });

export function useUndoImport() {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: (id: string) => read<ImportBatch[]>(api.archive.imports[':id'].undo.$post({ param: { id } })),
    onSuccess: () => queries.invalidateQueries(),
  });
}

/** The key that this site signs whole practices with, as people compare it. */
export const useSiteKey = () =>
  useQuery({
    queryKey: ['site-key'],
    queryFn: () => read<SiteFingerprint>(api.archive['site-key'].$get()),
    staleTime: Number.POSITIVE_INFINITY,
  });

/** What an archive would change here. */
export const useArchivePreview = (file: File, matches: ArchiveMatches) =>
  useQuery({
    queryKey: ['archive', file.name, file.size, file.lastModified, matches],
    queryFn: () =>
      read<ArchivePreview>(
        send('archive/preview', { matches: JSON.stringify(matches), name: file.name }, file),
      ),
    gcTime: 0,
    retry: false,
  });

export function useImportArchive() {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: ({
      file,
      matches,
      movedFrom,
    }: {
      file: File;
      matches: ArchiveMatches;
      /** The key that the other site shows; empty where it was not compared. */
      movedFrom: string;
    }) =>
      read<ArchivePreview>(
        send('archive', { matches: JSON.stringify(matches), name: file.name, movedFrom }, file),
      ),
    onSuccess: () => queries.invalidateQueries(),
  });
}

export const previewTable = (kind: TableKind, name: string, rows: Blob): Promise<TableAnswer> =>
  read<TableAnswer>(send(`tables/${kind}`, { name, take: 'good', preview: 'yes' }, rows));

export function useImportTable() {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: ({ kind, name, rows }: { kind: TableKind; name: string; rows: Blob }) =>
      read<TableAnswer>(send(`tables/${kind}`, { name, take: 'good' }, rows)),
    onSuccess: () => queries.invalidateQueries(),
  });
}

/** Fetches a file that only who works here may have, and saves it. */
export function useExport() {
  return useMutation({
    mutationFn: async ({ path, fileName }: { path: string; fileName: string }) => {
      const answer = await fetch(`/api/${path}`, {
        headers: whoAsks(),
      });
      if (!answer.ok) await read(Promise.resolve(answer));
      saveFile(await answer.blob(), fileName);
    },
  });
}
