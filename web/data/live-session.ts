import { type QueryClient, useQuery } from '@tanstack/react-query';
import { useMemo } from 'react';
import type { SessionView } from '#contract/session';
import { fold, type KnownSession, mergeLogs, type SessionEvent } from '#core/session';
import { api, read } from './api';
import { KEYS } from './keys';
import { remember, remembered, useLocalLogs } from './local-log';
import { dropFinished, openViews, useOpenViews } from './open-sessions';
import { keep, sendOutbox } from './outbox';
import { tabs } from './tabs';

/** A session with all events known here and the state they fold to. */
export type LiveSession = KnownSession & { view: SessionView };

/** Shown at once, kept on this device, then sent (in that order, so that nothing waits for the network). */
export async function keepEvents(queries: QueryClient, events: readonly SessionEvent[]): Promise<void> {
  remember(events);
  await keep(events);
  tabs.postMessage(events);
  await sendOutbox();
  dropFinished(queries, events);
}

// A session is folded again only when its own log has grown, however often it is asked for.
const folded = new WeakMap<SessionView, { local: readonly SessionEvent[]; session: LiveSession }>();

/** A session with what happened on this page folded in. */
export function foldView(view: SessionView): LiveSession {
  const local = remembered(view.id);
  const last = folded.get(view);
  if (last?.local === local) return last.session;
  const { id, plan } = view;
  const log = mergeLogs(view.events, local);
  const session = { id, plan, view, log, state: fold(plan, log) };
  folded.set(view, { local, session });
  return session;
}

/** Sessions that are open, as they are known at this moment. */
export const openSessions = (queries: QueryClient): LiveSession[] => openViews(queries).map(foldView);

/** Sessions that are open, with what happened on this page folded in. */
export function useOpenSessions(): LiveSession[] {
  const views = useOpenViews();
  const local = useLocalLogs();
  // biome-ignore lint/correctness/useExhaustiveDependencies: what is folded reads the local logs itself
  return useMemo(() => views.map(foldView), [views, local]);
}

/** One session, open or over. */
export function useSession(id: string): { session: LiveSession | undefined; error: unknown } {
  const { data, error } = useQuery({
    queryKey: KEYS.session(id),
    queryFn: () => read<SessionView>(api.sessions[':id'].$get({ param: { id } })),
  });
  useLocalLogs();
  return { session: data && foldView(data), error };
}
