import type { Plan } from '../../plan/plan';
import type { Limb } from '../../quantity/limb';
import type { Effect, House } from '../decide/intent';
import type { SessionEvent } from '../events';
import type { Log } from '../log';
import type { SessionState } from '../state';

/** A session with all of it that is known here, and what that folds to. */
export type KnownSession = { id: string; plan: Plan; log: Log; state: SessionState };

/** What a pump on a cuff last reported. */
export type PumpReading = {
  sessionId: string;
  limb: Limb;
  /** In mmHg; null before it has reported at all. */
  pressureMmHg: number | null;
  /** It takes commands, and reports by itself when the cuff is up. */
  isRegulated: boolean;
  isLost: boolean;
  /** When it was last commanded to inflate, by the server's clock; a release before that is no reason to come down. */
  commandedAtMs: number;
};

/** What a strap for the heart rate last said; null while it says nothing. */
export type PulseReading = { sessionId: string; beatsPerMinute: number | null };

/** A limit is near; a limit is passed, or a pump is lost. */
export type Alarm = 'near' | 'now';

/** All that a runtime needs of the world. Sessions are of type `S`, which may carry more than a runtime reads. */
export type Ports<S extends KnownSession> = {
  /** Which device this is. `deviceId` is new with every page; `runner` is this browser's, null where it never shares a session. */
  self: {
    deviceId: string;
    runner: string | null;
    newId: () => string;
    /** The id of what a session owes by the clock: the same on every device, so that it is recorded once. */
    owedId: (sessionId: string, key: string) => string;
  };
  /** In ms, by the server's clock as far as this device knows it (rule RUN-9). */
  clock: { nowMs: () => number };
  log: {
    open: () => readonly S[];
    /** A session with what has happened since it was read. */
    newest: (session: S) => S;
  };
  /** Keeps events: shown at once, safe on this device, then sent. */
  outbox: { keep: (events: readonly SessionEvent[]) => void };
  pumps: {
    readings: () => readonly PumpReading[];
    command: (sessionId: string, effect: Effect, nowMs: number) => void;
    /** The session of a pump is over: it lets its cuff down and goes. */
    disconnect: (sessionId: string, limb: Limb) => void;
  };
  pulses: { readings: () => readonly PulseReading[]; takeOff: (sessionId: string) => void };
  /** What the practice sets, as it was last read. */
  house: () => House;
  alarm: (alarm: Alarm) => void;
};

/** A device without pumps: every cuff is inflated by hand. */
export const BY_HAND: Ports<KnownSession>['pumps'] = {
  readings: () => [],
  command: () => {},
  disconnect: () => {},
};

/** A device that listens to no strap. */
export const NO_PULSES: Ports<KnownSession>['pulses'] = { readings: () => [], takeOff: () => {} };
