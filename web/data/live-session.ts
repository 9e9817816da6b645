import { type QueryClient, useQuery } from '@tanstack/react-query';
import { useMemo } from 'react';
import { v5 as idFrom, v4 as newId } from 'uuid';
import type { SessionView } from '#contract/session';
import type { Lighter } from '#core/plan';
import {
  type DueEvent,
  dueEvents,
  type EventBody,
  fold,
  type Log,
  mergeLogs,
  type SessionEvent,
  type SessionState,
} from '#core/session';
import { api, read } from './api';
import { serverNow } from './clock';
import { thisDevice } from './device';
import { KEYS } from './keys';
import { remember, remembered, useLocalLogs } from './local-log';
import { dropFinished, useOpenViews } from './open-sessions';
import { keep, sendOutbox } from './outbox';
import { tabs } from './tabs';

/** A session with all events known here and the state they fold to. */
export type LiveSession = { view: SessionView; log: Log; state: SessionState };

// A page is a device of its own: two tabs never share a sequence.
const deviceId = newId();
let nextSeq = 0;

function stamp(sessionId: string, body: EventBody, atMs: number, id: string): SessionEvent {
  const seq = nextSeq;
  nextSeq += 1;
  return { ...body, id, sessionId, deviceId, seq, atMs } as SessionEvent;
}

/** Shown at once, kept on this device, then sent (in that order, so that nothing waits for the network). */
async function appendEvents(queries: QueryClient, events: readonly SessionEvent[]): Promise<void> {
  if (events.length === 0) return;
  remember(events);
  await keep(events);
  tabs.postMessage(events);
  await sendOutbox();
  dropFinished(queries, events);
}

/** Appends what happened to a session, at the moment of the call. */
export function appendNow(queries: QueryClient, sessionId: string, ...bodies: EventBody[]): Promise<void> {
  const atMs = serverNow();
  return appendEvents(
    queries,
    bodies.map((body) => stamp(sessionId, body, atMs, newId())),
  );
}

/**
 * Appends what the clock owes at `nowMs`. Its ids come from the session and the thing owed, so any number of tabs and
 * devices that watch the same clock record it once. Only the device that runs the session does (rule RUN-9).
 */
export async function appendDue(queries: QueryClient, session: LiveSession, nowMs: number): Promise<void> {
  const { id, plan } = session.view;
  if (session.state.runner !== null && session.state.runner !== thisDevice) return;
  const owed = dueEvents(plan, session.state, nowMs);
  if (owed.length === 0) return;
  const known = new Set([...session.log, ...remembered(id)].map((event) => event.id));
  const fresh = owed
    .map((due: DueEvent) => ({ due, eventId: idFrom(due.key, id) }))
    .filter(({ eventId }) => !known.has(eventId));
  await appendEvents(
    queries,
    fresh.map(({ due, eventId }) => stamp(id, due.body, due.atMs, eventId)),
  );
}

/** Opens a session on the server, which freezes its plan, and notes its start. @returns the session's id */
export async function openSession(
  queries: QueryClient,
  id: string,
  prescriptionId: string,
  asked: { overrideReason?: string; lighter?: Lighter; keepsBack?: true },
): Promise<string> {
  const view = await read<SessionView>(api.sessions.$post({ json: { id, prescriptionId, ...asked } }));
  queries.setQueryData(KEYS.session(view.id), view);
  queries.setQueryData<SessionView[]>(KEYS.openSessions, (open = []) => [...open, view]);
  // The server opened it a moment ago: this device's clock may be behind by as much.
  const atMs = Math.max(serverNow(), view.openedAtMs);
  const started = { type: 'session-started', runner: thisDevice } as const;
  await appendEvents(queries, [stamp(view.id, started, atMs, newId())]);
  return view.id;
}

// A session is folded again only when its own log has grown, however often it is asked for.
const folded = new WeakMap<SessionView, { local: readonly SessionEvent[]; session: LiveSession }>();

/** A session with what happened on this page folded in. */
export function foldView(view: SessionView): LiveSession {
  const local = remembered(view.id);
  const last = folded.get(view);
  if (last?.local === local) return last.session;
  const log = mergeLogs(view.events, local);
  const session = { view, log, state: fold(view.plan, log) };
  folded.set(view, { local, session });
  return session;
}

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
