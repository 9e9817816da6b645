import type { Plan } from '../../plan/plan';
import { RULES } from '../../rules/catalogue';
import { NO_PRACTICE } from '../decide/decide';
import type { Effect } from '../decide/intent';
import type { SessionEvent } from '../events';
import { fold } from '../fold';
import { type Log, mergeLogs } from '../log';
import { sessionRuntime } from '../runtime';
import { SESSION_ID, START_MS } from '../session.fixture';
import { type Alarm, BY_HAND, type KnownSession, NO_PULSES, type PumpReading } from './ports';

/** One practice for tests: a true clock, a server, and devices that reach it or do not. */
export function practice(plan: Plan) {
  let nowMs = START_MS;
  const server = { log: mergeLogs([]) as Log, refused: [] as SessionEvent[] };
  const { afterReceiptMs } = RULES['RUN-9'].figures;
  const devices: Device[] = [];
  /** Takes what may have happened, as `server/live/check-events.ts` does, and each event once. */
  const take = (events: readonly SessionEvent[]) => {
    server.refused.push(...events.filter(({ atMs }) => atMs > nowMs + afterReceiptMs));
    server.log = mergeLogs(
      server.log,
      events.filter(({ atMs }) => atMs <= nowMs + afterReceiptMs),
    );
  };

  /** A device of its own browser; its clock is ahead by so much until it learns the server's. */
  function device(runner: string, aheadMs = 0): Device {
    let isOnline = true;
    let offMs = aheadMs;
    let known = mergeLogs([]);
    let unsent: SessionEvent[] = [];
    let pages = 0;
    let ids = 0;
    let readings: PumpReading[] = [];
    const alarms: Alarm[] = [];
    const effects: Effect[] = [];
    const session = (): KnownSession => ({ id: SESSION_ID, plan, log: known, state: fold(plan, known) });
    const exchange = () => {
      if (!isOnline) return;
      take(unsent);
      unsent = [];
      known = mergeLogs(known, server.log);
    };
    const page = () => {
      pages += 1;
      return sessionRuntime<KnownSession>({
        self: {
          deviceId: `${runner} ${pages}`,
          runner,
          newId: () => {
            ids += 1;
            return `${runner} ${ids}`;
          },
          owedId: (_, key) => `owed ${key}`,
        },
        clock: { nowMs: () => nowMs + offMs },
        log: { open: () => (session().state.finishedAtMs === null ? [session()] : []), newest: session },
        outbox: {
          keep: (events) => {
            known = mergeLogs(known, events);
            unsent.push(...events);
            exchange();
          },
        },
        pumps: { ...BY_HAND, readings: () => readings, command: (_, effect) => effects.push(effect) },
        pulses: NO_PULSES,
        house: () => NO_PRACTICE,
        alarm: (alarm) => alarms.push(alarm),
      });
    };
    let runtime = page();
    const made: Device = {
      act: (intent) => runtime.act(session(), intent),
      begin: () => runtime.note(SESSION_ID, [{ type: 'session-started', runner }]),
      tick: () => runtime.tick(),
      exchange,
      /** The page goes; what its outbox kept is there when it comes back, what it only showed is not. */
      crash: () => {
        known = mergeLogs(unsent);
        runtime = page();
        exchange();
      },
      online: (is) => {
        isOnline = is;
        exchange();
      },
      /** It learns the server's clock. */
      learnClock: () => {
        offMs = 0;
      },
      report: (now) => {
        readings = now.map((reading) => ({ ...reading, sessionId: SESSION_ID }));
      },
      state: () => session().state,
      kept: () => known,
      alarms,
      effects,
    };
    devices.push(made);
    return made;
  }

  return {
    device,
    server,
    nowMs: () => nowMs,
    /** Time passes: ten times a second every device that reaches the server hears of the others, and ticks. */
    passes: (ms: number) => {
      const endMs = nowMs + ms;
      while (nowMs < endMs) {
        nowMs = Math.min(endMs, nowMs + 100);
        for (const one of devices) one.exchange();
        for (const one of devices) one.tick();
      }
    },
  };
}

type Device = {
  act: (
    intent: Parameters<ReturnType<typeof sessionRuntime<KnownSession>>['act']>[1],
  ) => ReturnType<ReturnType<typeof sessionRuntime<KnownSession>>['act']>;
  begin: () => void;
  tick: () => void;
  exchange: () => void;
  crash: () => void;
  online: (is: boolean) => void;
  learnClock: () => void;
  report: (readings: readonly Omit<PumpReading, 'sessionId'>[]) => void;
  state: () => ReturnType<typeof fold>;
  kept: () => Log;
  alarms: Alarm[];
  effects: Effect[];
};
