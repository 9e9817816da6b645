import { useQuery } from '@tanstack/react-query';
import type { PracticeBench, SessionAttempt } from '#contract/practice-attempt';
import { api, read } from '../../../data/api';
import { KEYS } from '../../../data/keys';

/** What the bench knows of the practitioner at this device. */
export const usePracticeBench = () =>
  useQuery({
    queryKey: KEYS.practiceAttempts,
    queryFn: () => read<PracticeBench>(api['practice-attempts'].$get()),
  });

export const useSessionAttempts = () =>
  useQuery({
    queryKey: KEYS.sessionAttempts,
    queryFn: () => read<SessionAttempt[]>(api['session-attempts'].$get()),
  });
