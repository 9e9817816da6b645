import type { QueryClient } from '@tanstack/react-query';
import { v5 as idFrom, v4 as newId } from 'uuid';
import type { SessionView } from '#contract/session';
import type { Lighter } from '#core/plan';
import { type House, type Ports, type SessionRuntime, sessionRuntime } from '#core/session';
import { api, read } from '../data/api';
import { serverNow } from '../data/clock';
import { thisDevice } from '../data/device';
import { KEYS } from '../data/keys';
import { foldView, keepEvents, type LiveSession, openSessions } from '../data/live-session';
import { workingPractitioner } from '../data/practitioner';
import type { practiceQuery } from '../data/queries';
import { stopAboveOf } from '../data/use-blood-pressure-limit';
import { deflatePump, disconnectPump, inflateByPump, sessionPumps } from '../devices/session-pumps';
import { sessionStraps, takeOffStrap } from '../devices/session-straps';
import { soundAlarm, soundNear } from '../sound/tones';

const PUMPS: Ports<LiveSession>['pumps'] = {
  readings: () =>
    sessionPumps().map(({ source, lost, ...pump }) => ({
      ...pump,
      isRegulated: source.kind === 'regulated',
      isLost: lost,
    })),
  command: (sessionId, effect, nowMs) => {
    if (effect.do === 'bring') inflateByPump(sessionId, effect.limb, effect.pressureMmHg, nowMs);
    else deflatePump(sessionId, effect.limb);
  },
  disconnect: disconnectPump,
};

const made = new WeakMap<QueryClient, SessionRuntime<LiveSession>>();

/** The runtime of this page, over its network, its pumps and straps, and its sounds. */
export function runtimeOf(queries: QueryClient): SessionRuntime<LiveSession> {
  const known = made.get(queries);
  if (known) return known;
  const runtime = sessionRuntime<LiveSession>({
    self: {
      // A page is a device of its own: two tabs never share a sequence.
      deviceId: newId(),
      runner: thisDevice,
      newId,
      owedId: (sessionId, key) => idFrom(key, sessionId),
    },
    clock: { nowMs: serverNow },
    log: { open: () => openSessions(queries), newest: ({ view }) => foldView(view) },
    outbox: { keep: (events) => void keepEvents(queries, events) },
    pumps: PUMPS,
    pulses: { readings: sessionStraps, takeOff: takeOffStrap },
    house: () => houseOf(queries),
    alarm: (alarm) => (alarm === 'near' ? soundNear() : soundAlarm()),
  });
  made.set(queries, runtime);
  return runtime;
}

/** What the practice sets, as it was last read. */
function houseOf(queries: QueryClient): House {
  const practice = queries.getQueryData<Awaited<ReturnType<typeof practiceQuery.queryFn>>>(KEYS.practice);
  return { stopAbove: stopAboveOf(practice?.settings), weightKits: practice?.weightKits ?? [] };
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
  const practitionerId = workingPractitioner.get();
  // The server opened it a moment ago: this device's clock may be behind by as much.
  runtimeOf(queries).note(
    view.id,
    [{ type: 'session-started', runner: thisDevice, practitionerId }],
    view.openedAtMs,
  );
  return view.id;
}
