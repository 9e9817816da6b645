import { v5 as idFrom, v4 as newId } from 'uuid';
import type { ReportFromHome } from '#contract/home';
import {
  BY_HAND,
  fold,
  type KnownSession,
  mergeLogs,
  NO_PRACTICE,
  NO_PULSES,
  type SessionEvent,
  type SessionRuntime,
  SIGNS,
  sessionRuntime,
} from '#core/session';
import { serverNow } from '../../../data/clock';
import { soundAlarm, soundNear } from '../../../sound/tones';
import type { KeptHome, RunningAtHome } from './kept-home';

/** How this phone keeps its session, and sends what the practice is to know. */
type Phone = {
  newest: () => Pick<KeptHome, 'running'>;
  change: (part: Partial<KeptHome>) => void;
  tell: (report: ReportFromHome, part?: Partial<KeptHome>) => void;
};

// Folded again only when its log has grown.
const folded = new WeakMap<RunningAtHome, KnownSession>();

/** The session on this phone as it stands. */
export function knownAtHome(running: RunningAtHome): KnownSession {
  const known = folded.get(running);
  if (known) return known;
  const { id, plan, events } = running;
  const log = mergeLogs(events);
  const session = { id, plan, log, state: fold(plan, log) };
  folded.set(running, session);
  return session;
}

/** The runtime of a phone at home: no network, no pump, one session, which the practice gets when it is over. */
export function homeRuntime({ newest, change, tell }: Phone): SessionRuntime<KnownSession> {
  const keep = (events: readonly SessionEvent[]) => {
    const { running } = newest();
    if (!running) return;
    const grown = { ...running, events: [...running.events, ...events] };
    if (events.some(({ type }) => type === 'session-finished')) {
      const { id, prescriptionId } = running;
      tell({ kind: 'session', id, prescriptionId, events: grown.events }, { running: null });
    } else change({ running: grown });
    // A red sign is sent at once; the session comes when it is over.
    for (const event of events) {
      if (event.type !== 'sign-noted' || SIGNS[event.sign].level !== 'red') continue;
      const { id, sessionId, atMs, sign } = event;
      tell({ kind: 'sign', id, sessionId, atMs, sign });
    }
  };
  const open = () => {
    const { running } = newest();
    return running ? [knownAtHome(running)] : [];
  };
  return sessionRuntime<KnownSession>({
    // Every page of a phone is a device of its own.
    self: {
      deviceId: `home ${newId()}`,
      runner: null,
      newId,
      owedId: (sessionId, key) => idFrom(key, sessionId),
    },
    clock: { nowMs: serverNow },
    log: { open, newest: (session) => open()[0] ?? session },
    outbox: { keep },
    pumps: BY_HAND,
    pulses: NO_PULSES,
    house: () => NO_PRACTICE,
    alarm: (alarm) => (alarm === 'near' ? soundNear() : soundAlarm()),
  });
}
