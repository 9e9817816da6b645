import { RULES } from '../rules/catalogue';
import { decide } from './decide/decide';
import type { Decision, Intent } from './decide/intent';
import { dueEvents } from './decide/owed';
import type { EventBody } from './events';
import { heartRateDue } from './heart-rate-due';
import { limitAlarms } from './runtime/limits';
import type { KnownSession, Ports } from './runtime/ports';
import { handsOf, pumpWork } from './runtime/pumps';
import { stamped } from './stamp';

/** What runs sessions on one device (architecture, idea 3). */
export type SessionRuntime<S extends KnownSession> = {
  /** Decides on the newest state, records what comes of it and commands the pumps. @returns the decision, a refusal with its words */
  act: (session: S, intent: Intent) => Decision;
  /** Records what happened to a session, now. @param sinceMs not before this moment, such as the opening */
  note: (sessionId: string, bodies: readonly EventBody[], sinceMs?: number) => void;
  /** What time brings: what the clock owes, what pumps and straps say, the alarms. To be called some ten times a second. */
  tick: () => void;
};

/**
 * The one place where sessions are acted on, stamped, ticked and alarmed: bench, floor, dock and the page at home are its
 * callers, each with ports of its own. It keeps no state of a session: that is always the fold of its log.
 */
export function sessionRuntime<S extends KnownSession>(ports: Ports<S>): SessionRuntime<S> {
  const { self, clock, log, outbox, pumps, pulses, house, alarm } = ports;
  let nextSeq = 0;
  const stamp = (sessionId: string, body: EventBody, atMs: number, id: string) => {
    const seq = nextSeq;
    nextSeq += 1;
    return stamped(body, { id, sessionId, deviceId: self.deviceId, seq, atMs });
  };
  const note: SessionRuntime<S>['note'] = (sessionId, bodies, sinceMs = 0) => {
    const atMs = Math.max(clock.nowMs(), sinceMs);
    if (bodies.length > 0) outbox.keep(bodies.map((body) => stamp(sessionId, body, atMs, self.newId())));
  };

  const act: SessionRuntime<S>['act'] = (read, intent) => {
    const session = log.newest(read);
    const nowMs = momentAfter(session, clock.nowMs());
    const hands = handsOf(pumps.readings(), session.id);
    const decision = decide(session.plan, session.state, intent, nowMs, hands, house());
    note(session.id, decision.events, nowMs);
    for (const effect of decision.effects) pumps.command(session.id, effect, nowMs);
    return decision;
  };

  /** Its ids come from the session and the thing owed, so any number of devices that watch the same clock record it once. */
  const owe = (session: S, nowMs: number) => {
    const { runner } = session.state;
    if (runner !== null && runner !== self.runner) return;
    const owed = dueEvents(session.plan, session.state, nowMs);
    if (owed.length === 0) return;
    const known = new Set(session.log.map(({ id }) => id));
    const fresh = owed
      .map((due) => ({ ...due, id: self.owedId(session.id, due.key) }))
      .filter(({ id }) => !known.has(id));
    if (fresh.length > 0) outbox.keep(fresh.map(({ body, atMs, id }) => stamp(session.id, body, atMs, id)));
  };

  /** A strap that is worn notes the heart rate that is due, and is taken off once its session is over. */
  const hearPulses = (nowMs: number) => {
    for (const { sessionId, beatsPerMinute } of pulses.readings()) {
      const session = log.open().find(({ id }) => id === sessionId);
      if (!session) {
        pulses.takeOff(sessionId);
        continue;
      }
      const moment = heartRateDue(session.plan, session.state, nowMs);
      if (moment !== null && beatsPerMinute !== null)
        act(session, { do: 'note-heart-rate', moment, beatsPerMinute });
    }
  };

  const workPumps = pumpWork(ports, act);
  const alarmsOf = limitAlarms();
  const tick = () => {
    const nowMs = clock.nowMs();
    for (const session of log.open()) owe(session, nowMs);
    workPumps(nowMs);
    hearPulses(nowMs);
    for (const one of alarmsOf(log.open(), nowMs)) alarm(one);
  };
  return { act, note, tick };
}

/**
 * The moment of an act: now, and always after what it was decided on. A clock that was ahead and is corrected would else put a release
 * before its inflation, and lose it. An event too far ahead to be on record moves nothing (rule RUN-9).
 */
function momentAfter({ log }: KnownSession, nowMs: number): number {
  const { afterReceiptMs } = RULES['RUN-9'].figures;
  const last = log.findLast(({ atMs }) => atMs <= nowMs + afterReceiptMs);
  return last && last.atMs >= nowMs ? last.atMs + 1 : nowMs;
}
