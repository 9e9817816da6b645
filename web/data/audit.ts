import { useInfiniteQuery, useQuery } from '@tanstack/react-query';
import type { AuditCheck, AuditPage } from '#contract/audit';
import { api, read } from './api';
import { KEYS } from './keys';

export type AuditAsked = {
  clientId: string | null;
  practitionerId: string;
  search: string;
  called: string[];
};

/** Who did what, newest first, page by page. */
export const useAudit = ({ clientId, practitionerId, search, called }: AuditAsked) =>
  useInfiniteQuery({
    queryKey: KEYS.audit(clientId ?? '', practitionerId, search),
    initialPageParam: '',
    queryFn: ({ pageParam: before }) => {
      const query = {
        ...(before === '' ? {} : { before }),
        ...(practitionerId === '' ? {} : { practitionerId }),
        ...(search === '' ? {} : { search }),
        ...(called.length === 0 ? {} : { called: called.join(',') }),
      };
      return read<AuditPage>(
        clientId === null
          ? api.audit.$get({ query })
          : api.audit.of[':clientId'].$get({ param: { clientId }, query }),
      );
    },
    getNextPageParam: ({ entries, hasMore }) => (hasMore ? String(entries.at(-1)?.id) : undefined),
  });

/** Whether the record of who did what is whole; asked for by a press, since it reads all of it. */
export const useAuditCheck = () =>
  useQuery({
    queryKey: KEYS.audit('check'),
    queryFn: () => read<AuditCheck>(api.audit.check.$get()),
    enabled: false,
  });
