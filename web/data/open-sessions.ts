import { type QueryClient, useQuery } from '@tanstack/react-query';
import type { SessionView } from '#contract/session';
import type { SessionEvent } from '#core/session';
import { api, read } from './api';
import { KEYS } from './keys';
import { lockState } from './practitioner';

/** Sessions that are open, as the server last gave them. */
export const useOpenViews = (): readonly SessionView[] =>
  useQuery({ ...openViewsQuery, enabled: lockState.use() === 'unlocked' }).data ?? NONE;

/** The same, as they are known at this moment. */
export const openViews = (queries: QueryClient): readonly SessionView[] =>
  queries.getQueryData<SessionView[]>(KEYS.openSessions) ?? NONE;

/** Whether it is known which are open: the server has said so, or no one is signed in. */
export const useOpenKnown = (): boolean => {
  const isIn = lockState.use() === 'unlocked';
  const { data } = useQuery({ ...openViewsQuery, enabled: isIn });
  return !isIn || data !== undefined;
};

export const openViewsQuery = {
  queryKey: KEYS.openSessions,
  queryFn: async () => {
    const views = await read<SessionView[]>(api.sessions.open.$get());
    foundOpen ??= new Set(views.map(({ id }) => id));
    return views;
  },
};

let foundOpen: ReadonlySet<string> | undefined;

/** Whether a session was open already when this page first asked, and so was begun before it was loaded, whatever a clock says. */
export const wasFoundOpen = (id: string): boolean => foundOpen?.has(id) ?? false;

const NONE: readonly SessionView[] = [];

/** A session that is over is not among the open ones any more. */
export function dropFinished(queries: QueryClient, events: readonly SessionEvent[]): void {
  if (!events.some(({ type }) => type === 'session-finished')) return;
  void queries.invalidateQueries({ queryKey: ['sessions'] });
}
