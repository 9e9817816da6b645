import { useQuery } from '@tanstack/react-query';
import type { LastReview } from '#core/record';
import { api, read } from './api';
import { KEYS } from './keys';

/**
 * What the last sessions say for the next one of a plan; without a plan, what they say of the person. `undefined` while it is
 * being read.
 */
export const useLastReview = (clientId: string, coursePlanId?: string): LastReview | undefined =>
  useQuery({
    queryKey: KEYS.lastReview(clientId, coursePlanId ?? ''),
    // What a draft begins with is asked for when it is begun: an answer given a moment ago counts.
    gcTime: 0,
    queryFn: () =>
      read<LastReview>(
        api.clients[':id']['last-review'].$get({
          param: { id: clientId },
          query: coursePlanId === undefined ? {} : { coursePlanId },
        }),
      ),
  }).data;
